package umbel.knowledge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import umbel.cut.OperationKind;

/** Whatever a step asks for is explained in the guide, and drawn. */
class CutCardsTest {

    private static final List<CutCard> CARDS = Knowledge.shipped().cutCards();

    @Test
    void everyOperationThatChangesATreeHasItsCard() {
        Set<String> told = new TreeSet<>();
        CARDS.forEach(card -> told.addAll(card.operations()));
        Set<String> wanted = new TreeSet<>();
        Arrays.stream(OperationKind.values())
                .filter(OperationKind::changesTheTree)
                .forEach(kind -> wanted.add(kind.word()));
        assertThat(told).isEqualTo(wanted);
    }

    @Test
    void noOperationHasTwoCardsAndNoCardTwoNames() {
        assertThat(CARDS.stream().flatMap(card -> card.operations().stream())).doesNotHaveDuplicates();
        assertThat(CARDS).extracting(CutCard::id).doesNotHaveDuplicates();
        assertThat(CARDS)
                .extracting(CutCard::group)
                .containsOnly("cut", "renovation", "summer", "tool", "wound", "safety");
    }

    @Test
    void everyCardIsDrawnWithinItsField() {
        for (CutCard card : CARDS) {
            assertThat(card.figure()).as(card.id()).isNotNull();
            for (RuleKnowledge.Figure figure : Arrays.asList(card.figure(), card.wrong())) {
                if (figure != null) {
                    within(card.id(), figure.wood());
                    within(card.id(), figure.marked());
                    within(card.id(), figure.line());
                }
            }
        }
    }

    private static void within(String card, List<String> strokes) {
        for (String stroke : strokes) {
            assertThat(stroke).as(card).matches("M\\d+ \\d+( L\\d+ \\d+)+");
            for (String number : stroke.replaceAll("[ML]", " ").trim().split("\\s+")) {
                assertThat(Integer.parseInt(number)).as(card + ": " + stroke).isBetween(0, 100);
            }
        }
    }
}
