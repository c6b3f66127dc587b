package umbel.reading;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import umbel.cut.Operation;
import umbel.text.Statement;

/**
 * One rule of reading: what it is called, what it speaks of, what it finds on a tree, and what a practised hand would weigh
 * against it. Its cost, its name and its words stand under its id in {@code knowledge/rules.yaml}; a test holds
 * the two together.
 */
public abstract class Rule {

    /** How a rule's findings differ from the usual in a plan. */
    enum Trait {
        /** Its first remedy is done without being weighed against what it costs. */
        UNDISPUTED,
        /** Several remedies together answer one finding; one does not make the others unnecessary. */
        ANSWERED_IN_PARTS,
        /** Its remedies are weighed after those of single limbs, on what these leave. */
        WEIGHED_LAST,
        /** It comes again every year, so that later winters answer it too. */
        YEARLY,
        /** Where it is certain it is answered before everything that is weighed, and a limb that shows it ends by going. */
        GRAVE,
        /** A limb that shows it and is thin for its tree is off, outside the limits. */
        STRAY,
        /** A lasting limb may go for it: nothing else answers it. */
        OUTWEIGHS_THE_FRAME,
        /** A lasting limb may go for it where enough others stay. */
        OUTWEIGHS_A_SPARE_LIMB,
        /** The same, but only where the lasting limbs stand about a leader. */
        OUTWEIGHS_A_SPARE_LIMB_ABOUT_A_LEADER,
        /** It takes only upright limbs off whole, others it shortens. */
        TAKES_ONLY_UPRIGHTS
    }

    private final String id;
    private final Subject subject;
    private final Stage stage;
    private final Set<Trait> traits;

    Rule(String id, Subject subject, Stage stage, Trait... traits) {
        this.id = id;
        this.subject = subject;
        this.stage = stage;
        this.traits = EnumSet.noneOf(Trait.class);
        this.traits.addAll(List.of(traits));
    }

    /** Kebab-case id, as it travels in the open format. */
    public final String id() {
        return id;
    }

    /** What it speaks of. */
    public final Subject subject() {
        return subject;
    }

    /** Where its findings usually come in the order of the work. */
    public final Stage stage() {
        return stage;
    }

    /** Whether several remedies together answer one finding. */
    public final boolean isAnsweredInParts() {
        return traits.contains(Trait.ANSWERED_IN_PARTS);
    }

    /** Whether its remedies are weighed after those of single limbs. */
    public final boolean isWeighedLast() {
        return traits.contains(Trait.WEIGHED_LAST);
    }

    /** Whether it comes again every year. */
    public final boolean isYearly() {
        return traits.contains(Trait.YEARLY);
    }

    /** Whether a certain finding comes before everything that is weighed, and its limb ends by going. */
    public final boolean isGrave() {
        return traits.contains(Trait.GRAVE);
    }

    /** Whether a limb that shows it is off, outside the limits, where it is thin for its tree. */
    public final boolean isStray() {
        return traits.contains(Trait.STRAY);
    }

    /**
     * Whether a lasting limb may go for it.
     *
     * @param spare whether enough others stay
     * @param aboutALeader whether the lasting limbs stand about a leader
     */
    public final boolean outweighsLastingLimb(boolean spare, boolean aboutALeader) {
        return traits.contains(Trait.OUTWEIGHS_THE_FRAME)
                || spare && traits.contains(Trait.OUTWEIGHS_A_SPARE_LIMB)
                || spare && aboutALeader && traits.contains(Trait.OUTWEIGHS_A_SPARE_LIMB_ABOUT_A_LEADER);
    }

    /** Whether it takes only upright limbs off whole. */
    public final boolean takesOnlyUprights() {
        return traits.contains(Trait.TAKES_ONLY_UPRIGHTS);
    }

    /** What this rule finds, strongest first; empty when nothing is wrong. */
    abstract List<Finding> read(RuleContext context);

    /** The line of knowledge a finding was judged by, as {@code school.limbRatio}; see docs/model/reading.md. */
    abstract String judgedBy(RuleContext context, Finding finding);

    /** The operations weighed against each other for a finding, the usual one first; empty where no cut answers it. */
    abstract List<Operation> remedies(RemedyContext context, Finding finding);

    /** Whether its first remedy is always done without being weighed. */
    final boolean isUndisputed() {
        return traits.contains(Trait.UNDISPUTED);
    }

    /** Whether the first remedy of a finding is done without being weighed. */
    boolean isUndisputed(Finding finding) {
        return traits.contains(Trait.UNDISPUTED);
    }

    /** Why nothing is done about a finding now that will be later; empty where there is no such reason. */
    Optional<Statement> reasonToWait(RemedyContext context, Finding finding) {
        return Optional.empty();
    }

    /** Whether two findings of this rule, made on two looks at a tree, are of the same thing. */
    final boolean isSame(Finding one, Finding other) {
        return switch (subject) {
            case LIMB, GROUP -> one.first().equals(other.first());
            case PAIR -> other.targets().containsAll(one.targets());
            case TREE -> true;
        };
    }

    @Override
    public final String toString() {
        return id;
    }
}
