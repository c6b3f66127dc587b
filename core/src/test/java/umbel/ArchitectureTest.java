package umbel;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ArchitectureTest {

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("umbel");

    @Test
    void packagesOfTheCoreFormNoCycle() {
        slices().matching("umbel.(*)..").should().beFreeOfCycles().check(core);
    }

    @Test
    void theCoreKnowsNoFrameworkNoWebAndNoDatabase() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "java.net..")
                .check(core);
    }

    @Test
    void theCoreReadsNoClock() {
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(core);
        noClasses().should().callMethod(java.time.LocalDate.class, "now").check(core);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(core);
        noClasses().should().callMethod(Math.class, "random").check(core);
    }

    @Test
    void everyReadingRuleIsAClassOfItsOwn() {
        classes()
                .that()
                .areAssignableTo("umbel.reading.Rule")
                .and()
                .doNotHaveModifier(JavaModifier.ABSTRACT)
                .should()
                .bePackagePrivate()
                .andShould()
                .haveOnlyFinalFields()
                .check(core);
    }
}
