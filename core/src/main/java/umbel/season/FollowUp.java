package umbel.season;

import java.time.LocalDate;
import java.util.List;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * One visit to come.
 *
 * @param kind what is to be done, as {@code rub-sprouts}: the catalogue's {@code follow-up.*}
 * @param from first and last day it makes sense
 * @param amount the number its text tells: sprouts expected, limbs tied, centimetres; null where it tells none
 */
public record FollowUp(String kind, LocalDate from, LocalDate to, Double amount) {

    /** Length at which sprouts are rubbed off, from–to, cm. */
    private static final double[] SOFT_SPROUTS_CM = {10, 15};

    private static final String CODE = "follow-up.";

    /** What is to be done, as it is told. */
    public Statement text() {
        return text(kind, amount);
    }

    /** What a visit of this kind is for; {@code amount} as above. */
    public static Statement text(String kind, Double amount) {
        double number = amount == null ? 0 : amount;
        return Statement.of(CODE + kind)
                .with("count", Value.count(Math.round(number)))
                .with("length", Value.centimetres(number))
                .with("least", Value.centimetres(SOFT_SPROUTS_CM[0]))
                .with("most", Value.centimetres(SOFT_SPROUTS_CM[1]));
    }

    /** The same, brought forward by a wind of so many metres a second. */
    public static Statement afterWind(double wind, LocalDate day, Statement text) {
        return Statement.of("follow-up-storm")
                .with("wind", new Value.Wind(wind))
                .with("day", new Value.Day(day))
                .with("text", new Value.Sentences(List.of(text)));
    }

    /** Its name in few words. */
    public static Statement name(String kind) {
        return Statement.of("follow-up-name." + kind);
    }
}
