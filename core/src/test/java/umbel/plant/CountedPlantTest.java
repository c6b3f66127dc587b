package umbel.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.aftercare.AfterTask;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.counted.CountPlan;
import umbel.counted.CountStep;
import umbel.counted.CountSurvey;
import umbel.counted.Counts;
import umbel.cut.ImpossibleCut;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.text.Catalogue;
import umbel.text.UnitSystem;

class CountedPlantTest {

    private static final String BUSH =
            "{'format':'umbel-count/1','plant':{'kind':'blueberry','leaf':9,'label':'Blue Bank 1-1'},"
                    + "'canes':[{'id':'1','age_y':8,'diameter_mm':26},{'id':'2','age_y':7,'count':3},{'id':'3','age_y':1,'count':2},"
                    + "{'id':'4','age_y':1,'diameter_mm':4},{'id':'5','age_y':3,'count':4,'twiggy':true,'flowerBuds':400},"
                    + "{'id':'6','age_y':5,'attitude':'down'},{'id':'7','age_y':4,'condition':['diseased']}]}";
    private static final String ROW = "{'format':'umbel-count/1','plant':{'kind':'raspberry-summer','leaf':5},"
            + "'row':{'length_m':3,'width_cm':70,'topWire_cm':150,'canes':[{'class':'fruited','count':20},"
            + "{'class':'new','count':60,'weak':9,'outside':5,'diseased':2,'height_cm':240,'diameter_mm':9}]}}";
    private static final String MOWN = "{'format':'umbel-count/1','plant':{'kind':'raspberry-autumn','leaf':5},"
            + "'row':{'length_m':3,'canes':[{'class':'fruited','count':60}]}}";
    private static final String BLACK = "{'format':'umbel-count/1','plant':{'kind':'raspberry-black','leaf':5},"
            + "'row':{'samples':[{'length_m':2,'canes':[{'class':'new','count':30,'weak':3,'height_cm':150,"
            + "'laterals':{'count':7,'length_cm':75,'low':2}}]}],'plants':3}}";
    private static final String VINE = "{'format':'umbel-count/1','plant':{'kind':'grape','leaf':12},'vine':{"
            + "'prunedAs':'cane','wood':'vigorous','pruningWeight_kg':0.8,'weightIs':'weighed','arms':["
            + "{'id':'L','positions':8,'blind':3},{'id':'R','bearing_deg':90}],'canes':["
            + "{'id':'a','arm':'L','nodes':25,'diameter_mm':9,'at_cm':5,'lit':true},"
            + "{'id':'b','arm':'R','nodes':26,'diameter_mm':8,'at_cm':4,'lit':true},"
            + "{'id':'c','arm':'R','nodes':12,'at_cm':10},{'id':'d','nodes':9,'condition':['dead']}]}}";

    static List<String> plants() {
        return List.of(BUSH, ROW, MOWN, BLACK, VINE);
    }

    @ParameterizedTest
    @MethodSource("plants")
    void everyStepCanBeMarkedSaidAndDrawn(String document) {
        CountSurvey survey = Counts.survey(document);
        CountedPlant plant = CountedPlant.read(survey, Knowledge.shipped());
        for (CountPlan plan : plant.counted().plans(Moment.DORMANT)) {
            List<Mark> marks = marks(plan);
            for (CountStep step : plan.steps()) {
                Mark mark = CountedPlant.mark(step.operation());
                assertThat(CountedPlant.mark(CountedPlant.operation(mark))).isEqualTo(mark);
                for (String language : Catalogue.LANGUAGES) {
                    assertThat(plant.title(mark, CrewText.in(language, UnitSystem.METRIC)))
                            .doesNotContain("count.")
                            .doesNotContain("{");
                }
            }
            assertThat(plant.visit(marks).steps()).hasSameSizeAs(marks);
            assertThat(plant.sheet(marks, 0))
                    .startsWith("<svg")
                    .endsWith("</svg>")
                    .doesNotContain("NaN");
            assertThat(plant.totals(marks).told().cuts())
                    .isEqualTo(plan.steps().stream()
                            .mapToInt(step -> step.operation().count())
                            .sum());
        }
    }

    @ParameterizedTest
    @MethodSource("plants")
    void marksComeInTheOrderOfTheWorkWhateverTheirOwn(String document) {
        CountedPlant plant = CountedPlant.read(Counts.survey(document), Knowledge.shipped());
        List<Mark> marks = marks(plant.counted().plans(Moment.DORMANT).get(0));
        List<Mark> turned = new ArrayList<>(marks);
        Collections.reverse(turned);
        assertThat(plant.inOrder(turned)).isEqualTo(marks);
    }

    @ParameterizedTest
    @MethodSource("plants")
    void thePlansSeasonsAreThoseOfItsMarks(String document) {
        CountedPlant plant = CountedPlant.read(Counts.survey(document), Knowledge.shipped());
        CountPlan plan = plant.counted().plans(Moment.DORMANT).get(0);
        assertThat(plant.counted()
                        .after(marks(plan).stream().map(CountedPlant::operation).toList())
                        .seasons())
                .isEqualTo(plan.seasons());
    }

    @Test
    void afterTheLastCutToolsAndCanesAreLookedAfterAndDiseasedOnesGoOut() {
        CountedPlant row = CountedPlant.read(Counts.survey(ROW), Knowledge.shipped());
        List<AfterTask> sick =
                row.afterwards(marks(row.counted().plans(Moment.DORMANT).get(0)));
        assertThat(sick)
                .extracting(AfterTask::kind)
                .containsExactly(AfterTask.Kind.TOOLS, AfterTask.Kind.DISEASED_PRUNINGS, AfterTask.Kind.PRUNINGS);
        CountedPlant sound = CountedPlant.read(Counts.survey(MOWN), Knowledge.shipped());
        assertThat(sound.afterwards(marks(sound.counted().plans(Moment.DORMANT).get(0))))
                .extracting(AfterTask::kind)
                .containsExactly(AfterTask.Kind.TOOLS, AfterTask.Kind.PRUNINGS);
        assertThat(sound.afterwards(List.of())).isEmpty();
    }

    @Test
    void aBushTellsItsFacts() {
        CountedPlant plant = CountedPlant.read(Counts.survey(BUSH), Knowledge.shipped());
        assertThat(plant.canes()).isEqualTo(13);
        assertThat(plant.facts().label()).isEqualTo("Blue Bank 1-1");
        assertThat(plant.facts().kind()).isEqualTo("blueberry");
        assertThat(plant.facts().parts()).hasSize(7);
        assertThat(plant.findings()).extracting(PlantFinding::rule).contains("unsound-cane", "old-canes");
        assertThat(plant.totals(List.of()).told().cropThisYear()).isEqualTo(1);
    }

    @Test
    void whatIsNoOperationOfACountedPlantIsRefused() {
        Plant plant = CountedPlant.read(Counts.survey(BUSH), Knowledge.shipped());
        assertThatThrownBy(() -> plant.visit(List.of(new Mark("bend", "1", null, null, 60.0, null))))
                .isInstanceOf(ImpossibleCut.class);
        assertThatThrownBy(() -> plant.visit(List.of(new Mark("remove", " ", null, null, null, null))))
                .isInstanceOf(ImpossibleCut.class);
    }

    private static List<Mark> marks(CountPlan plan) {
        return plan.steps().stream()
                .map(step -> CountedPlant.mark(step.operation()))
                .toList();
    }
}
