package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.knowledge.PracticeParameters;
import umbel.knowledge.TrainingSystem;
import umbel.practice.ExerciseMaker.Wish;
import umbel.reading.Rule;
import umbel.reading.Rules;

/** Exercises are what was wished for, and the files they are made by name nothing that is not there. */
class ExerciseMakerTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final PracticeParameters NUMBERS = KNOWLEDGE.practice();
    private final ExerciseMaker maker = new ExerciseMaker(KNOWLEDGE);

    private Optional<Exercise> make(Wish wish, long seed) {
        return maker.make(wish, seed, any -> true);
    }

    @Test
    void everyFaultIsOfARuleThereIs() {
        Set<String> rules = Rules.all().stream().map(Rule::id).collect(Collectors.toSet());
        for (Fault fault : Fault.values()) {
            assertThat(rules).as(fault.name()).contains(fault.rule());
            assertThat(Fault.of(fault.word())).contains(fault);
        }
        assertThat(Fault.of("none")).isEmpty();
    }

    @Test
    void levelsAndDrillsNameFaultsAndKindsThereAre() {
        for (PracticeParameters.Level level : NUMBERS.levels()) {
            assertThat(level.faults())
                    .as(level.name())
                    .allMatch(word -> Fault.of(word).isPresent());
            assertThat(level.faults().size()).isGreaterThanOrEqualTo(level.count());
            assertThat(level.leaf().get(0)).isLessThanOrEqualTo(level.leaf().get(1));
        }
        assertThat(NUMBERS.drill().faults()).allMatch(word -> Fault.of(word).isPresent());
        assertThat(NUMBERS.drill().faults().size())
                .isGreaterThanOrEqualTo(NUMBERS.drill().trees());
        NUMBERS.species().forEach(KNOWLEDGE::species);
    }

    /** Levels get harder: more faults, on trees further past the years in which they fill their space. */
    @Test
    void levelsGetHarder() {
        for (int i = 1; i < NUMBERS.levels().size(); i++) {
            PracticeParameters.Level before = NUMBERS.levels().get(i - 1);
            PracticeParameters.Level now = NUMBERS.levels().get(i);
            assertThat(now.count()).isGreaterThan(before.count());
            assertThat(now.leaf().get(1)).isGreaterThan(before.leaf().get(1));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"first", "usual", "hard"})
    void aLevelIsKeptTo(String name) {
        PracticeParameters.Level level = NUMBERS.levels().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
        for (int seed = 0; seed < 6; seed++) {
            Exercise made = make(new Wish(name, null, null, null, null), seed).orElseThrow();
            assertThat(made.faults()).hasSize(level.count());
            assertThat(made.faults().stream().map(Fault::word)).isSubsetOf(level.faults());
            TrainingSystem system = KNOWLEDGE.system(made.system());
            assertThat(made.leaf())
                    .isBetween(
                            (int) Math.floor(
                                    level.leaf().get(0) * system.shape().fullAtLeaf()),
                            (int) Math.ceil(level.leaf().get(1) * system.shape().fullAtLeaf()));
            assertThat(KNOWLEDGE.species(made.species()).systems()).contains(made.system());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "apple, tall-spindle, SUCKERS",
        "pear, central-leader, TIGHT_CROTCH",
        "peach, open-centre, WATER_SPROUTS",
        "cherry-sweet, vertical-axis, DEAD_LIMB",
        "plum-european, multi-leader, HANGERS",
    })
    void whatWasWishedForIsThere(String species, String system, Fault fault) {
        Exercise made =
                make(new Wish("usual", species, system, null, fault), 11).orElseThrow();
        assertThat(made.species()).isEqualTo(species);
        assertThat(made.system()).isEqualTo(system);
        assertThat(made.faults()).contains(fault);
    }

    @Test
    void anotherSeedIsAnotherTree() {
        Set<String> codes = new TreeSet<>();
        for (int seed = 0; seed < 10; seed++) {
            codes.add(make(new Wish("first", "apple", "tall-spindle", null, null), seed)
                    .orElseThrow()
                    .code());
        }
        assertThat(codes).hasSize(10);
    }

    @Test
    void whatNobodyKnowsIsRefusedByItsField() {
        assertThatThrownBy(() -> make(new Wish("impossible", null, null, null, null), 1))
                .isInstanceOf(NotSupported.class)
                .hasMessageContaining("first, usual, hard");
        assertThatThrownBy(() -> make(new Wish(null, "none", null, null, null), 1))
                .isInstanceOf(NotSupported.class);
        assertThatThrownBy(() -> make(new Wish(null, null, "none", null, null), 1))
                .isInstanceOf(NotSupported.class);
    }

    /** An open centre has no cone to lose: whoever asks for it gets no tree instead of another fault. */
    @Test
    void aFaultThatASystemCannotShowMakesNoTree() {
        assertThat(make(new Wish("first", "pear", "espalier", null, Fault.LOST_CONE), 1))
                .isEmpty();
    }

    @Test
    void aTreeIsAsOldAsWishedWithinWhatIsPractisedOn() {
        assertThat(make(new Wish("first", "apple", "central-leader", 17, null), 5)
                        .orElseThrow()
                        .leaf())
                .isEqualTo(17);
        assertThat(make(new Wish("first", "apple", "central-leader", 90, null), 5)
                        .orElseThrow()
                        .leaf())
                .isEqualTo(40);
    }
}
