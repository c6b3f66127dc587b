package umbel.assess;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/**
 * What a text says, for other software: a code of the catalogue, and its values with their kinds and units.
 *
 * @param code as {@code finding.limb-too-thick.ratio}
 * @param values by the names the message uses
 */
public record StatementAnswer(String code, Map<String, ValueAnswer> values) {

    /**
     * One value. Which of its parts is there depends on its kind; the others are left out.
     *
     * @param kind length, reach, thickness, section, per-length, angle, share, mass, force, temperature,
     *     temperature-change, rain, wind, minutes, count, number, bearing, limbs,
     *     term, choice, words, name, day, day-of-year or statements
     * @param value its number, in {@code unit}
     * @param unit cm, m, mm, cm2, per-m, deg, kg, N, C, K, m/s or min; left out for plain numbers, counts and shares (0…1)
     * @param limbs names of limbs; {@code trunk} is the leader
     * @param word a code of the catalogue (term), a word a message chooses by (choice), words of a knowledge file, a name, or a day
     *     as {@code 2027-02-10}
     * @param statements other statements inside this one
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ValueAnswer(
            String kind, Double value, String unit, List<String> limbs, String word, List<StatementAnswer> statements) {

        static ValueAnswer of(Value value) {
            if (value instanceof Value.Length length) {
                return measure("length", Units.toCm(length.metres()), 1, "cm");
            }
            if (value instanceof Value.Reach reach) {
                return measure("reach", reach.metres(), 2, "m");
            }
            if (value instanceof Value.Thickness thickness) {
                return measure("thickness", Units.toMm(thickness.metres()), 1, "mm");
            }
            if (value instanceof Value.Section section) {
                return measure("section", section.squareMetres() * 1e4, 2, "cm2");
            }
            if (value instanceof Value.PerLength per) {
                return measure("per-length", per.perMetre(), 2, "per-m");
            }
            if (value instanceof Value.Angle angle) {
                return measure("angle", Units.toDegrees(angle.radians()), 1, "deg");
            }
            if (value instanceof Value.Share share) {
                return measure("share", share.share(), 3, null);
            }
            if (value instanceof Value.Mass mass) {
                return measure("mass", mass.kilograms(), 2, "kg");
            }
            if (value instanceof Value.Force force) {
                return measure("force", force.newtons(), 1, "N");
            }
            if (value instanceof Value.Temperature temperature) {
                return measure("temperature", temperature.celsius(), 1, "C");
            }
            if (value instanceof Value.TemperatureChange change) {
                return measure("temperature-change", change.kelvins(), 1, "K");
            }
            if (value instanceof Value.Rain rain) {
                return measure("rain", rain.millimetres(), 1, "mm");
            }
            if (value instanceof Value.Wind wind) {
                return measure("wind", wind.metresPerSecond(), 1, "m/s");
            }
            if (value instanceof Value.Minutes time) {
                return measure("minutes", time.minutes(), 2, "min");
            }
            if (value instanceof Value.Count count) {
                return measure("count", count.count(), 0, null);
            }
            if (value instanceof Value.Number number) {
                return measure("number", number.value(), number.digits(), null);
            }
            if (value instanceof Value.Bearing bearing) {
                return measure("bearing", Units.toDegrees(bearing.radians()), 0, "deg");
            }
            if (value instanceof Value.Limbs limbs) {
                return new ValueAnswer("limbs", null, null, limbs.ids(), null, null);
            }
            if (value instanceof Value.Several several) {
                return statements(several.statements());
            }
            if (value instanceof Value.Sentences sentences) {
                return statements(sentences.statements());
            }
            return word(value);
        }

        private static ValueAnswer word(Value value) {
            if (value instanceof Value.Term term) {
                return word("term", term.code());
            }
            if (value instanceof Value.Choice choice) {
                return word("choice", choice.word());
            }
            if (value instanceof Value.Name name) {
                return word("name", name.text());
            }
            if (value instanceof Value.Day day) {
                return word("day", day.date().toString());
            }
            if (value instanceof Value.DayOfYear day) {
                return word("day-of-year", day.day().toString());
            }
            return word("words", ((Value.Words) value).text());
        }

        private static ValueAnswer word(String kind, String word) {
            return new ValueAnswer(kind, null, null, null, word, null);
        }

        private static ValueAnswer measure(String kind, double value, int digits, String unit) {
            return new ValueAnswer(kind, Units.round(value, digits), unit, null, null, null);
        }

        private static ValueAnswer statements(List<Statement> statements) {
            List<StatementAnswer> inside =
                    statements.stream().map(StatementAnswer::of).toList();
            return new ValueAnswer("statements", null, null, null, null, inside);
        }
    }

    /** A statement in the format's words. */
    public static StatementAnswer of(Statement statement) {
        Map<String, ValueAnswer> values = new LinkedHashMap<>();
        statement.values().forEach((name, value) -> values.put(name, ValueAnswer.of(value)));
        return new StatementAnswer(statement.code(), values);
    }
}
