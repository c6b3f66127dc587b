package umbel.instruction;

import java.util.Arrays;
import java.util.Locale;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * One thing a crew is told to do on every tree of a block, with a gauge that can be held to a limb.
 *
 * @param gauge its threshold in the form's unit; 0 where the form has none
 * @param most how many limbs a tree at most; 0 does not limit them
 */
public record Sentence(Form form, double gauge, int most) {

    /** What a threshold is told in. */
    public enum Unit {
        NONE,
        MM,
        CM,
        DEGREES,
        COUNT
    }

    /** What can be said, in the order it is carried out. */
    public enum Form {
        /** A second leader, or one that forks from it, off. */
        SECOND_LEADER(Unit.NONE),
        /** Upright shoots on limbs at least so long, off. */
        UPRIGHTS(Unit.CM),
        /** Limbs steeper than an angle, off; the steepest first. */
        STEEP_OFF(Unit.DEGREES),
        /** Limbs at least so thick, off; the thickest first and never the lowest. */
        THICK(Unit.MM),
        /** Wood at least so thick near the top, off; the thickest first. */
        THICK_TOP(Unit.MM),
        /** Limbs that hang beyond an angle, off. */
        HANGING(Unit.DEGREES),
        /** Limbs closer than so much above another on the same side, off; the closest first. */
        CLOSE(Unit.CM),
        /** Limbs steeper than an angle, bent down. */
        STEEP_BENT(Unit.DEGREES),
        /** Limbs longer than so much, shortened to it. */
        REACH(Unit.CM),
        /** More side shoots on a limb than so many, thinned to them. */
        SHOOTS(Unit.COUNT),
        /** Trees taller than so much, lowered to a side limb below it. */
        HEIGHT(Unit.CM);

        private final Unit unit;

        Form(Unit unit) {
            this.unit = unit;
        }

        /** What its threshold is told in. */
        public Unit unit() {
            return unit;
        }

        /** Its word in files, as {@code steep-off}. */
        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** The form of a word. */
        public static Form of(String word) {
            return Arrays.stream(values())
                    .filter(form -> form.word().equals(word))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("There is no sentence '" + word + "'."));
        }
    }

    /** What always holds besides, whatever else is said. */
    public static Statement always() {
        return Statement.of("instruction.always");
    }

    /** Its gauge alone; null where it has none. */
    public Statement told() {
        return form.unit() == Unit.NONE
                ? null
                : Statement.of("instruction.gauge").with("gauge", value());
    }

    private Value value() {
        return switch (form.unit()) {
            case MM -> Value.millimetres(gauge);
            case CM -> Value.centimetres(gauge);
            case DEGREES -> Value.degrees(gauge);
            case COUNT, NONE -> Value.count(Math.round(gauge));
        };
    }

    /** As it is said to the crew. */
    public Statement text() {
        return Statement.of("instruction." + form.word())
                .with("gauge", value())
                .with("most", Value.count(most))
                .with("limit", Value.choice(most == 0 ? "none" : most == 1 ? "one" : "some"));
    }
}
