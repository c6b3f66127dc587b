package umbel.assess;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Objects;
import umbel.cut.ImpossibleCut;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/**
 * An operation as it travels: in the words and units of the open format.
 *
 * @param operation one of the format's operations
 * @param limb a limb, {@code trunk}, or a group such as {@code 4/shoots/up}
 * @param atCm distance from the limb's origin, for cuts partway
 * @param toLimb side branch a reduction ends on
 * @param toAngleDeg inclination to bend to
 * @param keep how many of a group to leave: shoots, canes, flower buds, or nodes of a cane
 * @param count of canes that were counted together, to how many it is done; one where it is not told
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Mark(
        String operation,
        String limb,
        @JsonProperty("at_cm") Double atCm,
        String toLimb,
        @JsonProperty("toAngle_deg") Double toAngleDeg,
        Integer keep,
        Integer count) {

    private static final double SAME = 0.5;

    /** A mark on a tree. */
    public Mark(String operation, String limb, Double atCm, String toLimb, Double toAngleDeg, Integer keep) {
        this(operation, limb, atCm, toLimb, toAngleDeg, keep, null);
    }

    /** The mark that says this operation. */
    public static Mark of(Operation operation) {
        return new Mark(
                operation.kind().word(),
                operation.target().path(),
                operation.at() > 0 ? Units.round(Units.toCm(operation.at()), 3) : null,
                operation.toLimb().isEmpty() ? null : operation.toLimb(),
                operation.kind() == OperationKind.BEND ? Units.round(Units.toDegrees(operation.toAngle()), 3) : null,
                operation.keep() > 0 ? operation.keep() : null);
    }

    /** Whether another mark asks for the same: the same operation at the same place, to the half centimetre and degree. */
    public boolean sameAs(Mark other) {
        return Objects.equals(operation, other.operation)
                && Objects.equals(limb, other.limb)
                && Objects.equals(blank(toLimb), blank(other.toLimb))
                && near(atCm, other.atCm)
                && near(toAngleDeg, other.toAngleDeg)
                && (keep == null ? 0 : keep) == (other.keep == null ? 0 : other.keep)
                && (count == null ? 1 : count) == (other.count == null ? 1 : other.count);
    }

    private static String blank(String text) {
        return text == null ? "" : text;
    }

    private static boolean near(Double one, Double other) {
        return Math.abs((one == null ? 0 : one) - (other == null ? 0 : other)) < SAME;
    }

    /**
     * The operation this mark says.
     *
     * @throws ImpossibleCut when it names no operation that can be marked
     */
    public Operation toOperation() {
        OperationKind kind = OperationKind.of(operation == null ? "" : operation)
                .orElseThrow(() -> new ImpossibleCut(
                        "operation",
                        Statement.of("problem.no-such-operation").with("operation", Value.name(operation))));
        return new Operation(
                kind,
                Target.parse(limb == null ? "" : limb),
                atCm == null ? 0 : Units.fromCm(atCm),
                toLimb == null ? "" : toLimb,
                toAngleDeg == null ? Double.NaN : Units.fromDegrees(toAngleDeg),
                keep == null ? 0 : Math.max(0, keep));
    }
}
