package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.practice.EyeDrill.Question;
import umbel.practice.EyeDrill.Skill;
import umbel.reading.Rules;
import umbel.text.Speech;
import umbel.text.Statement;

/** The answer that a question holds against what its drawing shows, measured on the drawing alone. */
class EyeDrillTest {

    private static final School SCHOOL = Knowledge.shipped().school("classic");
    private static final int SEEDS = 40;

    private static Stream<Question> questions(Skill skill) {
        return IntStream.range(0, SEEDS)
                .boxed()
                .flatMap(seed -> EyeDrill.of(seed, Skill.values().length, SCHOOL).stream())
                .filter(question -> question.skill() == skill);
    }

    private static Element drawing(Question question) {
        try {
            return DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(question.drawing())))
                    .getDocumentElement();
        } catch (Exception e) {
            throw new IllegalStateException(question.drawing(), e);
        }
    }

    /** Elements told to be something, in the order they were drawn. */
    private static List<Element> what(Question question, String attribute, String value) {
        List<Element> found = new ArrayList<>();
        NodeList all = drawing(question).getElementsByTagName("*");
        for (int i = 0; i < all.getLength(); i++) {
            Element one = (Element) all.item(i);
            if (value == null ? one.hasAttribute(attribute) : value.equals(one.getAttribute(attribute))) {
                found.add(one);
            }
        }
        return found;
    }

    private static double[] line(Element path) {
        return Stream.of(path.getAttribute("d").replaceAll("[MLV]", " ").trim().split("\\s+"))
                .mapToDouble(Double::parseDouble)
                .toArray();
    }

    private static double number(Element element, String attribute) {
        return Double.parseDouble(element.getAttribute(attribute));
    }

    private static String said(Question question, int option) {
        return Speech.english().say(question.options().get(option));
    }

    @ParameterizedTest
    @EnumSource(Skill.class)
    void everyAnswerIsRightSometimesAndIsOneOfTheOptions(Skill skill) {
        Set<Integer> right = new HashSet<>();
        questions(skill).forEach(question -> {
            assertThat(question.right()).isBetween(0, question.options().size() - 1);
            assertThat(question.options().stream().map(Speech.english()::say)).doesNotHaveDuplicates();
            assertThat(Speech.english().say(question.why())).doesNotContain("{");
            right.add(question.right());
        });
        assertThat(right.size())
                .as("a place that is always right teaches nothing")
                .isGreaterThan(1);
    }

    @Test
    void allSkillsComeInTurnAndASeedRepeats() {
        List<Question> questions = EyeDrill.of(3, 20, SCHOOL);
        assertThat(questions).hasSize(20);
        assertThat(questions.subList(0, 9).stream().map(Question::skill)).containsExactlyInAnyOrder(Skill.values());
        assertThat(EyeDrill.of(3, 20, SCHOOL)).isEqualTo(questions);
        assertThat(EyeDrill.of(4, 20, SCHOOL)).isNotEqualTo(questions);
    }

    @ParameterizedTest
    @EnumSource(Skill.class)
    void noTwoLettersLieOverOneAnotherOrOutsideTheDrawing(Skill skill) {
        questions(skill).filter(question -> !question.drawing().isEmpty()).forEach(question -> {
            NodeList rings = drawing(question).getElementsByTagName("circle");
            for (int i = 0; i < rings.getLength(); i++) {
                Element one = (Element) rings.item(i);
                assertThat(number(one, "cx")).isBetween(9.0, EyeFigures.WIDTH - 9);
                assertThat(number(one, "cy")).isBetween(9.0, EyeFigures.HEIGHT - 9);
                for (int k = 0; k < i; k++) {
                    Element other = (Element) rings.item(k);
                    assertThat(Math.hypot(
                                    number(one, "cx") - number(other, "cx"), number(one, "cy") - number(other, "cy")))
                            .as(question.drawing())
                            .isGreaterThan(18);
                }
            }
        });
    }

    @Test
    void theBudUnderTheArrowIsWhatItIsSaidToBe() {
        questions(Skill.BUD).forEach(question -> {
            double x = line(what(question, "data-what", "mark").get(0))[0];
            Element bud = Stream.concat(
                            what(question, "data-what", "flower").stream(),
                            what(question, "data-what", "leaf").stream())
                    .filter(one -> Math.abs(number(one, "cx") - x) < 1)
                    .findFirst()
                    .orElseThrow();
            boolean fat = number(bud, "rx") > number(bud, "ry") / 2;
            assertThat(question.right()).isEqualTo(fat ? 0 : 1);
        });
    }

    @Test
    void theAgeIsTheRingsOfScarsTowardsTheTipAndOne() {
        questions(Skill.AGE).forEach(question -> {
            double mark = line(what(question, "data-what", "mark").get(0))[0];
            long scars = what(question, "data-what", "scar").stream()
                    .filter(scar -> line(scar)[0] > mark)
                    .count();
            assertThat(question.right()).isEqualTo((int) (scars / 3));
        });
    }

    @Test
    void onlyTheThickLimbIsOverTheSchoolsLine() {
        questions(Skill.THICK).forEach(question -> {
            double trunk = number(what(question, "data-what", "trunk").get(0), "stroke-width");
            List<Element> limbs = what(question, "data-what", "limb");
            for (int i = 0; i < limbs.size(); i++) {
                assertThat(number(limbs.get(i), "stroke-width") / trunk
                                > SCHOOL.thresholds().limbRatio())
                        .isEqualTo(i == question.right());
            }
        });
    }

    @Test
    void onlyTheTightCrotchIsUnderTheSchoolsLine() {
        questions(Skill.CROTCH).forEach(question -> {
            List<Element> limbs = what(question, "data-what", "limb");
            for (int i = 0; i < limbs.size(); i++) {
                double[] at = line(limbs.get(i));
                double angle = Math.toDegrees(Math.atan2(Math.abs(at[2] - at[0]), at[1] - at[3]));
                assertThat(angle < SCHOOL.thresholds().crotchAngleDeg()).isEqualTo(i == question.right());
            }
        });
    }

    /** The right cut meets the limb where the collar's swelling ends, neither at the trunk nor far out. */
    @Test
    void theRightCutIsJustOutsideTheCollar() {
        questions(Skill.COLLAR).forEach(question -> {
            double edge = number(what(question, "data-what", "trunk").get(0), "stroke-width") / 2;
            Element collar = what(question, "data-what", "collar").get(0);
            double swelling = Math.abs(line(collar)[2] - 120) + number(collar, "stroke-width") / 2;
            for (Element cut : what(question, "data-cut", null)) {
                double[] at = line(cut);
                double middle = Math.abs((at[0] + at[2]) / 2 - 120);
                boolean right = middle > Math.max(edge, swelling - 4) && middle < swelling + 10;
                assertThat(cut.getAttribute("data-cut").equals(said(question, question.right())))
                        .as("a cut %.0f from the middle", middle)
                        .isEqualTo(right);
            }
        });
    }

    /** Above the bud by less than the bud is long twice, lower on the side away from it. */
    @Test
    void theRightCutIsJustAboveTheBudAndSlopesAway() {
        questions(Skill.HEADING).forEach(question -> {
            Element bud = what(question, "data-what", "bud").get(0);
            double top = number(bud, "cy") - number(bud, "ry");
            boolean onTheRight = number(bud, "cx") > 120;
            for (Element cut : what(question, "data-cut", null)) {
                double[] at = line(cut);
                double near = (at[2] > 120) == onTheRight ? at[3] : at[1];
                double away = (at[2] > 120) == onTheRight ? at[1] : at[3];
                boolean right = near < top && near > top - 20 && away > near;
                assertThat(cut.getAttribute("data-cut").equals(said(question, question.right())))
                        .isEqualTo(right);
            }
        });
    }

    @Test
    void theRightCutLeavesAsManyBudsAsWereAsked() {
        questions(Skill.COUNT).forEach(question -> {
            String asked = Speech.english().say(question.asks()).replaceAll("\\D", "");
            for (Element cut : what(question, "data-cut", null)) {
                double x = line(cut)[0];
                long left = what(question, "data-what", "bud").stream()
                        .filter(bud -> number(bud, "cx") < x)
                        .count();
                assertThat(cut.getAttribute("data-cut").equals(said(question, question.right())))
                        .isEqualTo(left == Integer.parseInt(asked));
            }
        });
    }

    @Test
    void aSpurIsShortAndAShootIsLong() {
        questions(Skill.SPUR).forEach(question -> {
            boolean spur = !what(question, "data-what", "spur").isEmpty();
            double[] at =
                    line(what(question, "data-what", spur ? "spur" : "shoot").get(0));
            assertThat(at[1] - at[3] < 40).isEqualTo(question.right() == 0);
        });
    }

    @Test
    void whatComesFirstStandsFirstInTheOrderOfTheWork() {
        Map<String, Integer> stages = new HashMap<>();
        Rules.all().forEach(rule -> stages.put("rule." + rule.id(), rule.stage().ordinal()));
        questions(Skill.ORDER).forEach(question -> {
            List<Integer> at = question.options().stream()
                    .map(option -> stages.get(option.code()))
                    .toList();
            assertThat(at).doesNotHaveDuplicates();
            assertThat(at.get(question.right()))
                    .isEqualTo(at.stream().mapToInt(one -> one).min().orElseThrow());
        });
    }

    @Test
    void everySkillHasANameAndAnIdOfItsOwn() {
        Map<Skill, String> names = new EnumMap<>(Skill.class);
        for (Skill skill : Skill.values()) {
            names.put(skill, Speech.english().say(Statement.of("eye.skill." + skill.id())));
        }
        assertThat(names.values()).doesNotHaveDuplicates();
    }
}
