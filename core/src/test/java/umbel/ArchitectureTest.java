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

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("umbel");

    @Test
    void packagesOfTheCoreFormNoCycle() {
        slices().matching("umbel.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void theCoreKnowsNoFrameworkNoWebAndNoDatabase() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "java.net..")
                .check(CORE);
    }

    @Test
    void theCoreReadsNoClock() {
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
        noClasses().should().callMethod(java.time.LocalDate.class, "now").check(CORE);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(Math.class, "random").check(CORE);
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
                .check(CORE);
    }
}
