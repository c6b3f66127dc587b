package umbel.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class AppArchitectureTest {

    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .withImportOption(
                    place -> !place.contains("__") && !place.contains("$$")) // what the build writes for the start
            .importPackages("umbel");

    @Test
    void theCoreDoesNotKnowTheProgramRoundIt() {
        noClasses()
                .that()
                .resideOutsideOfPackage("umbel.app..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("umbel.app..")
                .check(ALL);
    }

    @Test
    void onlyTheDemoPracticeAndTheStartOfASurveyMakeUpTrees() {
        noClasses()
                .that()
                .resideInAPackage("umbel.app..")
                .and()
                .resideOutsideOfPackages("umbel.app.demo..", "umbel.app.practice..", "umbel.app.survey..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("umbel.practice..")
                .check(ALL);
    }

    @Test
    void noAreaOfTheProgramLeansOnItselfByWayOfOthers() {
        slices().matching("umbel.app.(*)..").should().beFreeOfCycles().check(ALL);
    }

    /** A bush or a vine is to be at home in all of these; what is of trees only is asked of the plant behind its interface. */
    @Test
    void listsRecordsSheetsSeasonAndLearningSpeakOfPlantsAndNotOfTrees() {
        noClasses()
                .that()
                .resideInAnyPackage(
                        "umbel.app.orchard..",
                        "umbel.app.holding..",
                        "umbel.app.visit..",
                        "umbel.app.log..",
                        "umbel.app.sheets..",
                        "umbel.app.season..",
                        "umbel.app.learning..",
                        "umbel.app.harvest..",
                        "umbel.app.years..")
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("umbel.wood.Tree")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("umbel.wood.Axis")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("umbel.cut.CutTree")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("umbel.plant.SurveyedTree")
                .orShould()
                .dependOnClassesThat()
                .resideInAnyPackage("umbel.light..", "umbel.drawing..")
                .check(ALL);
    }

    /** What is asked and answered stands beside the services; a controller only carries it. */
    @Test
    void nobodyLeansOnAController() {
        classes()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .onlyHaveDependentClassesThat(JavaClass.Predicates.simpleNameEndingWith("Controller")
                        .or(DescribedPredicate.describe(
                                "are part of a controller",
                                one -> one.getEnclosingClass()
                                        .map(outer -> outer.getSimpleName().endsWith("Controller"))
                                        .orElse(false))))
                .check(ALL);
    }
}
