package umbel.growth;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.wood.Axis;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Seasons that several plans share come out as if each had grown its own. */
class SeasonsTest {

    private static final Tree TREE =
            TreeBuilder.build(PracticeTree.survey("apple", "central-leader", 7, 4), Knowledge.shipped(), 1);
    private static final Season.Work CUT = Season.Work.dormant(List.of(Operation.remove(Target.parse("1"))));

    private static List<Double> lengths(Season.Year year) {
        return year.after().tree().axes().stream().map(Axis::length).toList();
    }

    @Test
    void aSeasonIsTheSameAsGrownOneByOne() {
        TreeState start = InitialState.of(TREE, 1);
        Season.Year first = Season.grow(start, CUT);
        Season.Year second = Season.grow(first.after(), Season.Work.NONE);
        Seasons seasons = new Seasons(start, 0.3);
        assertThat(lengths(seasons.after(List.of(CUT, Season.Work.NONE)))).isEqualTo(lengths(second));
        assertThat(lengths(seasons.after(List.of(CUT)))).isEqualTo(lengths(first));
        assertThat(seasons.start()).isSameAs(start);
    }

    @Test
    void whatTwoPlansShareIsGrownOnce() {
        Seasons seasons = new Seasons(InitialState.of(TREE, 1), 0.3);
        Season.Year once = seasons.after(List.of(CUT, CUT));
        assertThat(seasons.after(List.of(CUT, CUT))).isSameAs(once);
        seasons.forget();
        assertThat(seasons.after(List.of(CUT, CUT))).isNotSameAs(once);
        assertThat(lengths(seasons.after(List.of(CUT, CUT)))).isEqualTo(lengths(once));
    }

    @Test
    void aListThatGoesOnGrowingDoesNotChangeWhatWasGrown() {
        Seasons seasons = new Seasons(InitialState.of(TREE, 1), 0.3);
        List<Season.Work> works = new ArrayList<>(List.of(CUT));
        Season.Year first = seasons.after(works);
        works.add(Season.Work.NONE);
        Season.Year second = seasons.after(works);
        assertThat(second.after().year()).isEqualTo(first.after().year() + 1);
        assertThat(seasons.after(List.of(CUT))).isSameAs(first);
    }

    @Test
    void leftAloneItIsTheForecastOfNothingDone() {
        TreeState start = InitialState.of(TREE, 1);
        Seasons seasons = new Seasons(start, 0.3);
        Forecast alone = seasons.leftAlone(3);
        Forecast byItself = Forecast.of(start, Collections.nCopies(3, Season.Work.NONE), 0.3);
        for (int year = 0; year < 3; year++) {
            assertThat(alone.years().get(year).fruits())
                    .isEqualTo(byItself.years().get(year).fruits());
            assertThat(alone.years().get(year).height())
                    .isEqualTo(byItself.years().get(year).height());
        }
        assertThat(seasons.leftAlone(3)).isSameAs(alone);
        assertThat(seasons.leftAlone(1).years()).hasSize(1);
    }
}
