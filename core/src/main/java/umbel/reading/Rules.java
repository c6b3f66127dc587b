package umbel.reading;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import umbel.cut.Operation;

/** The rules there are, in the order they are read; the only list of them. */
public final class Rules {

    private static final List<Rule> ALL = List.of(
            new RootSucker(),
            new ScionRooted(),
            new UnsoundWood(),
            new RivalLeader(),
            new LimbTooThick(),
            new TightCrotch(),
            new CrowdedOrigin(),
            new StackedLimbs(),
            new BareSector(),
            new Crossing(),
            new Inward(),
            new OverHeight(),
            new LostCone(),
            new OutOfBox(),
            new LopSided(),
            new WillDrop(),
            new Shade(),
            new WaterSprout(),
            new Hanger(),
            new OldWood(),
            new WoodMovedOut(),
            new Crowding(),
            new OverCrop(),
            new UnderCrop(),
            new OverVigour(),
            new UnderVigour(),
            new BoxNotFilled());

    private static final Map<String, Rule> BY_ID = ALL.stream().collect(Collectors.toMap(Rule::id, Function.identity()));

    private Rules() {}

    /** Every rule, in the order they are read. */
    public static List<Rule> all() {
        return ALL;
    }

    /**
     * A rule by its id.
     *
     * @throws IllegalArgumentException where there is none
     */
    public static Rule of(String id) {
        Rule rule = BY_ID.get(id);
        if (rule == null) {
            throw new IllegalArgumentException("There is no rule '" + id + "'.");
        }
        return rule;
    }

    /** The operations weighed against each other for a finding, the usual one first; empty where no cut answers it. */
    public static List<Operation> remedies(RemedyContext context, Finding finding) {
        return finding.rule().remedies(context, finding);
    }

    /** Whether the first remedy of a finding is done without being weighed. */
    public static boolean isUndisputed(Finding finding) {
        return finding.rule().isUndisputed(finding);
    }

    /** Why nothing is done about a finding now that will be later; empty where there is no such reason. */
    public static Optional<String> reasonToWait(RemedyContext context, Finding finding) {
        return finding.rule().reasonToWait(context, finding);
    }

    /** Whether two findings, made on two looks at a tree, are of the same thing. */
    public static boolean isSame(Finding one, Finding other) {
        return one.rule() == other.rule() && one.rule().isSame(one, other);
    }
}
