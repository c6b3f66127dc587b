package umbel.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import umbel.knowledge.School;
import umbel.reading.Rule;
import umbel.reading.Rules;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Questions for the eye, drawn by lot: buds, ages, crotches, places to cut, the order of the work. Each holds its own answer, so that it
 * can be answered without signal; the same seed gives the same questions.
 */
public final class EyeDrill {

    private static final int BUDS = 5;
    private static final int MOST_YEARS = 4;
    private static final int SHOOT_BUDS = 7;
    private static final int ORDERED = 3;
    private static final double FLUSH = 3;

    /** What is trained. */
    public enum Skill {
        BUD,
        AGE,
        THICK,
        CROTCH,
        COLLAR,
        HEADING,
        COUNT,
        SPUR,
        ORDER;

        /** Its id among the skills of practice. */
        public String id() {
            return "eye-" + name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * A question with its answer.
     *
     * @param drawing as SVG; empty where nothing is drawn
     * @param options two to four
     * @param right place of the right one among them
     * @param why it is right
     */
    public record Question(
            Skill skill, Statement asks, String drawing, List<Statement> options, int right, Statement why) {

        public Question {
            options = List.copyOf(options);
        }
    }

    private final SplittableRandom random;
    private final School school;

    private EyeDrill(SplittableRandom random, School school) {
        this.random = random;
        this.school = school;
    }

    /**
     * Questions of all skills in turn, each turn in another order.
     *
     * @param school whose lines say what is too thick and too tight
     */
    public static List<Question> of(long seed, int count, School school) {
        EyeDrill drill = new EyeDrill(new SplittableRandom(seed), school);
        Map<Skill, Supplier<Question>> makers = new EnumMap<>(Map.of(
                Skill.BUD, drill::bud,
                Skill.AGE, drill::age,
                Skill.THICK, drill::thick,
                Skill.CROTCH, drill::crotch,
                Skill.COLLAR, drill::collar,
                Skill.HEADING, drill::heading,
                Skill.COUNT, drill::count,
                Skill.SPUR, drill::spur,
                Skill.ORDER, drill::order));
        List<Question> questions = new ArrayList<>();
        while (questions.size() < count) {
            List<Skill> turn = new ArrayList<>(Arrays.asList(Skill.values()));
            Collections.shuffle(turn, new Random(drill.random.nextLong()));
            turn.stream()
                    .limit(count - (long) questions.size())
                    .map(skill -> makers.get(skill).get())
                    .forEach(questions::add);
        }
        return questions;
    }

    private Question bud() {
        EyeFigures figure = new EyeFigures().stem(14, 120, 226, 92, 7, "twig");
        int asked = random.nextInt(BUDS);
        boolean flower = random.nextBoolean();
        for (int i = 0; i < BUDS; i++) {
            boolean fat = i == asked ? flower : random.nextBoolean();
            boolean above = i == asked || i % 2 == 0;
            double x = 40 + 40 * i;
            double y = 120 - 28 * (x - 14) / 212;
            double size = between(0.9, 1.15);
            double halfLength = size * (fat ? 9 : 8);
            figure.bud(
                    x,
                    above ? y - halfLength : y + halfLength,
                    size * (fat ? 6.5 : 2.4),
                    halfLength,
                    above ? (fat ? 8 : 55) : (fat ? 172 : 125),
                    fat ? "flower" : "leaf");
            if (i == asked) {
                figure.arrow(x, y - 2 * halfLength - 4);
            }
        }
        return new Question(
                Skill.BUD,
                Statement.of("eye.asks.bud"),
                figure.drawn(),
                List.of(Statement.of("eye.flower-bud"), Statement.of("eye.leaf-bud")),
                flower ? 0 : 1,
                Statement.of(flower ? "eye.why.flower-bud" : "eye.why.leaf-bud"));
    }

    /** Years from the tip inwards; at each year's end a ring of scars. */
    private Question age() {
        EyeFigures figure = new EyeFigures();
        double tip = 226;
        double x = tip;
        int asked = 1 + random.nextInt(MOST_YEARS);
        double mark = 0;
        for (int year = 1; year <= MOST_YEARS; year++) {
            double length = between(36, 62);
            double from = year == MOST_YEARS ? 10 : x - length;
            figure.stem(from, 110, x, 110, 3 + 2.2 * year, "year");
            if (year < MOST_YEARS) {
                figure.scar(from, 110, (3 + 2.2 * year) / 2);
            }
            if (year == asked) {
                mark = from + (x - from) * between(0.35, 0.65);
            }
            x = from;
        }
        figure.bud(tip + 6, 110, 4, 7, 90, "tip").arrow(mark, 98);
        return new Question(
                Skill.AGE,
                Statement.of("eye.asks.age"),
                figure.drawn(),
                IntStream.rangeClosed(1, MOST_YEARS)
                        .mapToObj(years -> Statement.of("eye.years").with("years", Value.count(years)))
                        .toList(),
                asked - 1,
                Statement.of("eye.why.age")
                        .with("scars", Value.count(asked - 1L))
                        .with("years", Value.count(asked)));
    }

    private Question thick() {
        double most = school.thresholds().limbRatio();
        double trunk = between(24, 32);
        int asked = random.nextInt(4);
        double ratio = between(most + 0.12, most + 0.28);
        EyeFigures figure = new EyeFigures().stem(120, 178, 120, 14, trunk, "trunk");
        for (int i = 0; i < 4; i++) {
            double width = trunk * (i == asked ? ratio : between(most - 0.3, most - 0.14));
            double side = i % 2 == 0 ? 1 : -1;
            double y = 150 - 32 * i;
            figure.stem(120 + side * trunk / 2, y, 120 + side * 84, y - 26, width, "limb");
            figure.letter(120 + side * 102, y - 30, letter(i));
        }
        return new Question(
                Skill.THICK,
                Statement.of("eye.asks.thick"),
                figure.drawn(),
                letters(4),
                asked,
                Statement.of("eye.why.thick")
                        .with("limb", Value.name(letter(asked)))
                        .with("ratio", Value.share(ratio))
                        .with("most", Value.share(most)));
    }

    private Question crotch() {
        double least = school.thresholds().crotchAngleDeg();
        int asked = random.nextInt(3);
        EyeFigures figure = new EyeFigures().stem(120, 178, 120, 10, 16, "trunk");
        double tight = 0;
        for (int i = 0; i < 3; i++) {
            double angle = i == asked ? between(least - 20, least - 9) : between(least + 12, least + 38);
            tight = i == asked ? angle : tight;
            double side = i % 2 == 0 ? 1 : -1;
            double y = 160 - 44 * i;
            double length = 78;
            double x2 = 120 + side * length * Math.sin(Math.toRadians(angle));
            double y2 = y - length * Math.cos(Math.toRadians(angle));
            figure.stem(120, y, x2, y2, 7, "limb");
            figure.letter(x2 + side * 13, Math.max(12, y2 - 6), letter(i));
        }
        return new Question(
                Skill.CROTCH,
                Statement.of("eye.asks.crotch"),
                figure.drawn(),
                letters(3),
                asked,
                Statement.of("eye.why.crotch")
                        .with("limb", Value.name(letter(asked)))
                        .with("angle", Value.degrees(tight))
                        .with("least", Value.degrees(least)));
    }

    /** Flush with the trunk, just outside the collar, or a stub; on either side of the tree. */
    private Question collar() {
        boolean toTheRight = random.nextBoolean();
        double edge = 20;
        double slope = between(8, 14);
        List<String> letters = shuffled(3);
        EyeFigures figure = new EyeFigures().stem(120, 178, 120, 8, 2 * edge, "trunk");
        figure.stem(120, 112, x(toTheRight, edge + 8), 106, 28, "collar");
        figure.stem(x(toTheRight, edge + 10), 105, x(toTheRight, 108), 72, 19, "limb");
        // flush has its letter below, so that no two lie over one another
        figure.cut(x(toTheRight, edge + FLUSH), 146, x(toTheRight, edge + FLUSH), 74, letters.get(0));
        figure.cut(x(toTheRight, edge + 27 - slope), 60, x(toTheRight, edge + 27 + slope / 2), 126, letters.get(1));
        figure.cut(x(toTheRight, edge + 64), 52, x(toTheRight, edge + 64), 110, letters.get(2));
        int right = letters.get(1).charAt(0) - 'A';
        return new Question(
                Skill.COLLAR,
                Statement.of("eye.asks.collar"),
                figure.drawn(),
                letters(3),
                right,
                Statement.of("eye.why.collar").with("cut", Value.name(letter(right))));
    }

    private static double x(boolean toTheRight, double fromTheMiddle) {
        return toTheRight ? 120 + fromTheMiddle : 120 - fromTheMiddle;
    }

    /** Too far above the bud, just above it and sloping away, or into it. */
    private Question heading() {
        boolean toTheRight = random.nextBoolean();
        double budY = between(94, 112);
        List<String> letters = shuffled(3);
        EyeFigures figure = new EyeFigures()
                .stem(120, 178, 120, 14, 11, "shoot")
                .bud(x(toTheRight, 10), budY - 6, 4.5, 9, toTheRight ? 30 : -30, "bud");
        figure.cut(x(!toTheRight, 24), budY - 58, x(toTheRight, 24), budY - 58, letters.get(0));
        figure.cut(x(!toTheRight, 24), budY - 10, x(toTheRight, 24), budY - 24, letters.get(1));
        // this one from the bud's side, so that no two letters lie over one another
        figure.cut(x(toTheRight, 34), budY + 6, x(!toTheRight, 20), budY - 20, letters.get(2));
        int right = letters.get(1).charAt(0) - 'A';
        return new Question(
                Skill.HEADING,
                Statement.of("eye.asks.heading"),
                figure.drawn(),
                letters(3),
                right,
                Statement.of("eye.why.heading").with("cut", Value.name(letter(right))));
    }

    private Question count() {
        int wanted = 2 + random.nextInt(4);
        int first = Math.max(1, Math.min(wanted - random.nextInt(4), SHOOT_BUDS - 4));
        EyeFigures figure = new EyeFigures().stem(30, 178, 30, 100, 20, "limb").stem(38, 132, 232, 96, 6, "shoot");
        for (int i = 1; i <= SHOOT_BUDS; i++) {
            double x = budX(i);
            double y = 132 - 36 * (x - 38) / 194;
            figure.bud(x, i % 2 == 0 ? y + 8 : y - 8, 3, 6, i % 2 == 0 ? 120 : 50, "bud");
        }
        for (int i = 0; i < 4; i++) {
            double x = (budX(first + i) + budX(first + i + 1)) / 2;
            double y = 132 - 36 * (x - 38) / 194;
            figure.cut(x, y - 30, x, y + 16, letter(i));
        }
        return new Question(
                Skill.COUNT,
                Statement.of("eye.asks.count").with("buds", Value.count(wanted)),
                figure.drawn(),
                letters(4),
                wanted - first,
                Statement.of("eye.why.count")
                        .with("cut", Value.name(letter(wanted - first)))
                        .with("buds", Value.count(wanted)));
    }

    private static double budX(int bud) {
        return 38 + 24.0 * bud;
    }

    private Question spur() {
        boolean spur = random.nextBoolean();
        double x = between(90, 150);
        EyeFigures figure = new EyeFigures().stem(10, 140, 230, 128, 14, "limb");
        double y = 140 - 12 * (x - 10) / 220 - 7;
        if (spur) {
            double top = y - between(20, 30);
            figure.stem(x, y, x + 3, top, 7, "spur");
            for (double ring = y - 5; ring > top + 4; ring -= 5) {
                figure.stem(x - 3, ring, x + 6, ring - 1, 1.4, "ring");
            }
            figure.bud(x + 4, top - 7, 6.5, 9, 8, "flower").arrow(x + 4, top - 20);
        } else {
            double top = y - between(62, 84);
            figure.stem(x, y, x + 10, top, 3.4, "shoot");
            for (int i = 1; i <= 4; i++) {
                double at = y + (top - y) * i / 5;
                double bx = x + 10 * (y - at) / (y - top);
                figure.bud(i % 2 == 0 ? bx + 4 : bx - 4, at - 3, 2, 5, i % 2 == 0 ? 25 : -25, "leaf");
            }
            figure.bud(x + 11, top - 5, 2.4, 6, 8, "leaf").arrow(x + 34, top + 42);
        }
        return new Question(
                Skill.SPUR,
                Statement.of("eye.asks.spur"),
                figure.drawn(),
                List.of(Statement.of("eye.spur"), Statement.of("eye.shoot")),
                spur ? 0 : 1,
                Statement.of(spur ? "eye.why.spur" : "eye.why.shoot"));
    }

    /** Findings of different stages of the work: which is answered first. */
    private Question order() {
        List<Rule> rules = new ArrayList<>(Rules.all());
        Collections.shuffle(rules, new Random(random.nextLong()));
        List<Rule> chosen = new ArrayList<>();
        for (Rule rule : rules) {
            if (chosen.size() < ORDERED && chosen.stream().noneMatch(other -> other.stage() == rule.stage())) {
                chosen.add(rule);
            }
        }
        int first = IntStream.range(0, ORDERED)
                .boxed()
                .min((one, other) ->
                        chosen.get(one).stage().compareTo(chosen.get(other).stage()))
                .orElseThrow();
        return new Question(
                Skill.ORDER,
                Statement.of("eye.asks.order"),
                "",
                chosen.stream().map(rule -> Statement.of("rule." + rule.id())).toList(),
                first,
                Statement.of("eye.why.order"));
    }

    private double between(double from, double to) {
        return from + random.nextDouble() * (to - from);
    }

    private List<String> shuffled(int count) {
        List<String> letters = new ArrayList<>(
                IntStream.range(0, count).mapToObj(EyeDrill::letter).toList());
        Collections.shuffle(letters, new Random(random.nextLong()));
        return letters;
    }

    private static String letter(int at) {
        return String.valueOf((char) ('A' + at));
    }

    private static List<Statement> letters(int count) {
        return IntStream.range(0, count)
                .mapToObj(at -> Statement.of("eye.letter").with("letter", Value.name(letter(at))))
                .toList();
    }
}
