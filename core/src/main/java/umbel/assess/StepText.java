package umbel.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import umbel.cut.BudSide;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.Caution;
import umbel.training.Device;
import umbel.training.Training;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.wood.Units;
import umbel.work.Tool;

/** Says in a grower's words what an operation is, where exactly it is made, and what to heed. */
public final class StepText {

    private StepText() {}

    /** A title of a few words, as the head of a step. */
    public static String title(Tree tree, Operation operation) {
        String limb = name(operation.onLimb());
        return switch (operation.kind()) {
            case REMOVE ->
                operation.keep() > 0
                        ? String.format(Locale.ROOT, "Thin shoots on %s to the best %d", limb, operation.keep())
                        : operation.onGroup()
                                ? String.format("Take %s on %s", groupName(tree, operation), limb)
                                : "Remove " + limb + whatItIs(tree, operation.onLimb());
            case RENEW_BEVEL -> "Renew " + limb + " by a bevel cut";
            case REDUCE -> "Cut " + limb + " back to " + name(operation.toLimb());
            case LOWER_LEADER -> "Lower the leader to " + name(operation.toLimb());
            case SHORTEN -> String.format(Locale.ROOT, "Shorten %s to %.0f cm", limb, Units.toCm(operation.at()));
            case HEAD -> "Head " + limb;
            case TIP -> "Tip " + limb;
            case BEND -> String.format(Locale.ROOT, "Bring %s to %.0f°", limb, Units.toDegrees(operation.toAngle()));
            case RUB -> operation.onBuds() ? "Choose the buds on " + limb : "Rub off " + limb;
            case RENEW_STUB ->
                String.format(Locale.ROOT, "Renew %s from a %.0f cm stub", limb, Units.toCm(operation.at()));
            case SHORT_SPUR ->
                String.format(
                        Locale.ROOT,
                        "Short-spur %s on %s to %.0f cm",
                        groupName(tree, operation),
                        limb,
                        Units.toCm(operation.at()));
            case THIN_SPURS ->
                String.format(Locale.ROOT, "Thin the spurs on %s to the young %d", limb, operation.keep());
            case DEFLOWER ->
                operation.target().equals(Target.TRUNK)
                        ? "Take the flowers off the tree"
                        : "Take the flowers off " + limb;
            case KEEP -> "Keep " + limb;
            case WATCH -> operation.target().equals(Target.TRUNK) ? "Look again next winter" : "Watch " + limb;
        };
    }

    /** Where exactly, and how. */
    public static String place(Tree tree, Operation operation) {
        return switch (operation.kind()) {
            case REMOVE ->
                operation.onGroup()
                        ? operation.keep() > 0
                                ? "Thin and rank ones first, then those growing in, hanging or straight up; leave no stubs."
                                : "Each at its base, no stub."
                        : removePlace(tree, operation.onLimb());
            case RENEW_BEVEL ->
                "Sloped cut at the union: upper side flush, underside left long, so that a flat shoot comes from beneath.";
            case REDUCE, LOWER_LEADER ->
                String.format(
                        Locale.ROOT,
                        "Just above %s, %.0f cm out from the union, sloped along the branch that stays.",
                        name(operation.toLimb()),
                        Units.toCm(operation.at()));
            case SHORTEN -> "Into the older wood, above a fruit bud or a weak side branch that heads outward.";
            case HEAD, TIP -> headPlace(tree, operation);
            case BEND -> bendPlace(tree, operation);
            case RUB ->
                operation.onBuds()
                        ? budPlace(tree, operation)
                        : "Pull or rub it off with its base while it is soft; cut close if it is woody.";
            case RENEW_STUB ->
                String.format(
                        Locale.ROOT,
                        "%.0f cm out from the union, through sound wood with dormant buds, sloped so that water runs off; the sky above must stay open.",
                        Units.toCm(operation.at()));
            case SHORT_SPUR -> "Above the third leaf or bud of each; leave a longer one only where a gap has no spur.";
            case THIN_SPURS -> "The oldest and most shaded ones out at their base; the young, well lit ones stay.";
            case DEFLOWER -> "Each cluster by hand at bloom, leaves left on.";
            case KEEP -> "Nothing to cut.";
            case WATCH -> "Nothing to cut this time.";
        };
    }

    private static String budPlace(Tree tree, Operation operation) {
        Axis limb = tree.find(operation.onLimb()).orElseThrow();
        double from = Math.max(operation.at(), limb.length() - limb.lastGrowth());
        String below = String.format(Locale.ROOT, "Rub out every bud up to %.0f cm.", Units.toCm(operation.at()));
        String above = operation.keep() <= 0
                ? ""
                : String.format(
                        Locale.ROOT,
                        " Above, leave %d, one every %.0f cm and each further round, and rub out the rest; score just above one that sleeps on.",
                        operation.keep(),
                        Units.toCm(limb.length() - from) / operation.keep());
        return (operation.at() > 0 ? below : "") + above;
    }

    private static String headPlace(Tree tree, Operation operation) {
        Axis axis = tree.find(operation.onLimb()).orElseThrow();
        BudSide bud = BudSide.of(tree, axis);
        return String.format(
                Locale.ROOT,
                "%.0f mm above a bud that faces %s (%s), at %.0f cm, sloped about 45° away from it.",
                tree.setting().parameters().cutting().places().budMm(),
                bud.word(),
                Units.compass(bud.bearing()),
                Units.toCm(operation.at()));
    }

    private static String removePlace(Tree tree, String id) {
        Axis limb = tree.find(id).orElseThrow();
        if (limb.is(Condition.DISEASED)) {
            return String.format(
                    Locale.ROOT,
                    "Back to sound wood at least %.0f cm below what you can see; at the union if that is nearer, collar kept.",
                    tree.setting().species().disease().cutBelowCm());
        }
        boolean stock = limb.parent() == 0 && limb.at() < tree.setting().unionAt();
        return stock
                ? "Close to where it starts; pull it if it is young."
                : "At the union, just outside the collar; no stub, not flush.";
    }

    private static String bendPlace(Tree tree, Operation operation) {
        Axis limb = tree.find(operation.onLimb()).orElseThrow();
        return String.format(
                Locale.ROOT,
                "From %.0f°: %s",
                Units.toDegrees(limb.baseInclination()),
                training(Training.of(tree, limb, operation.toAngle())));
    }

    /** How a limb is held at its angle, in a sentence or two. */
    public static String training(Training training) {
        double along = Units.toCm(training.alongLimb());
        double length = Units.toCm(training.length());
        String held = switch (training.device()) {
            case CLIP -> "a spring clip at the crotch while it is soft.";
            case SPREADER ->
                String.format(
                        Locale.ROOT,
                        "a spreader of %.0f cm, %.0f cm out on the limb and as far up the trunk.",
                        length,
                        along);
            case TIE_DOWN ->
                String.format(
                        Locale.ROOT,
                        "a tie %.0f cm out, %.0f cm of string straight down to %s in the ground, pull %.0f N.",
                        along,
                        length,
                        training.anchors() > 1 ? "two anchors set at an angle" : "an anchor",
                        training.pull());
            case TIE_TO_TRUNK ->
                String.format(
                        Locale.ROOT,
                        "a tie %.0f cm out, %.0f cm of string to the foot of the trunk, pull %.0f N.",
                        along,
                        length,
                        training.pull());
            case WIRE_TIE -> String.format(Locale.ROOT, "a tie %.0f cm out to the wire %.0f cm away.", along, length);
            case WEIGHT -> String.format(Locale.ROOT, "a weight of %.1f kg hung %.0f cm out.", training.mass(), along);
            case TIE_UP ->
                String.format(Locale.ROOT, "a tie %.0f cm out, %.0f cm of string up to the leader.", along, length);
        };
        return held + " " + training.why()
                + (training.device() == Device.CLIP
                        ? ""
                        : " Loose loop; look at it in June and after wind, off when it stays, in about "
                                + training.weeks() + " weeks.");
    }

    private static String whatItIs(Tree tree, String id) {
        Axis limb = tree.find(id).orElseThrow();
        if (limb.is(Condition.DEAD)) {
            return ", dead";
        }
        boolean stock = limb.parent() == 0 && limb.at() < tree.setting().unionAt();
        return stock ? ", a rootstock shoot" : "";
    }

    private static String groupName(Tree tree, Operation operation) {
        List<Axis> group = TargetAxes.of(tree, operation);
        List<String> how = new ArrayList<>();
        if (operation.target() instanceof Target.Shoots shoots) {
            shoots.shootClass()
                    .map(one -> one == ShootClass.MATCHSTICK ? "thin" : one.word())
                    .ifPresent(how::add);
            shoots.attitude()
                    .map(attitude -> switch (attitude) {
                        case UP -> "upright";
                        case SIDE -> "side";
                        case OUT -> "outward";
                        case DOWN -> "hanging";
                        case IN -> "inward";
                    })
                    .ifPresent(how::add);
        }
        String noun = operation.target() instanceof Target.Spurs ? "spur" : "shoot";
        return group.size() + " " + (how.isEmpty() ? "" : String.join(" ", how) + " ") + noun
                + (group.size() == 1 ? "" : "s");
    }

    /** How a limb is spoken of. */
    public static String name(String limb) {
        return limb.equals("trunk") ? "the leader" : "limb " + limb;
    }

    /** One sentence of numbers: thickness, tool, mass, minutes. */
    public static String numbers(Effect effect) {
        List<String> parts = new ArrayList<>();
        if (effect.diameter() > 0) {
            parts.add(String.format(Locale.ROOT, "%.0f mm", Units.toMm(effect.diameter())));
        }
        parts.add(effect.tool() == Tool.TIE ? "tie or spreader" : effect.tool().spoken());
        if (effect.threeStep()) {
            parts.add("three-step cut");
        }
        if (effect.mass() >= 0.5) {
            parts.add(String.format(Locale.ROOT, "%.0f kg falls", Math.max(1, effect.mass())));
        }
        parts.add(duration(effect.minutes()));
        return String.join(", ", parts);
    }

    private static String duration(double minutes) {
        return minutes < 0.75
                ? String.format(Locale.ROOT, "%.0f s", Math.max(5.0, 5.0 * Math.round(minutes * 12)))
                : String.format(Locale.ROOT, "%.0f min", minutes);
    }

    /** What the tree is likely to answer; empty when nothing worth a word. */
    public static String answer(Operation operation, Effect effect) {
        if (operation.kind() == OperationKind.RENEW_BEVEL) {
            return "Expect one flat shoot from the underside; rub the others.";
        }
        long sprouts = Math.round(effect.sprouts());
        return sprouts == 0
                ? ""
                : "About " + sprouts + (sprouts == 1 ? " sprout" : " sprouts")
                        + " near the cut by July: rub what is not wanted in June.";
    }

    /** Which cautions belong to a step. */
    public static List<String> cautions(Tree tree, Operation operation, Effect effect, List<Caution> all) {
        Set<Caution.When> when = circumstances(tree, operation, effect);
        return all.stream()
                .filter(one -> when.contains(one.when()))
                .map(Caution::text)
                .toList();
    }

    private static Set<Caution.When> circumstances(Tree tree, Operation operation, Effect effect) {
        Set<Caution.When> when = java.util.EnumSet.noneOf(Caution.When.class);
        add(when, effect.ladder(), Caution.When.ABOVE_REACH);
        add(when, effect.tool() == Tool.SAW, Caution.When.SAW);
        add(when, effect.threeStep(), Caution.When.THREE_STEP);
        add(when, effect.qualified(), Caution.When.QUALIFIED);
        add(when, operation.kind() == OperationKind.BEND, Caution.When.BEND);
        tree.find(operation.onLimb())
                .filter(limb -> limb.kind() == AxisKind.LIMB)
                .ifPresent(limb -> {
                    add(when, limb.is(Condition.DECAYED), Caution.When.DECAYED);
                    add(when, limb.is(Condition.DISEASED) || !limb.disease().isEmpty(), Caution.When.DISEASED);
                    add(when, limb.is(Condition.BROKEN, Condition.SPLITTING), Caution.When.BROKEN);
                });
        return when;
    }

    private static void add(Set<Caution.When> to, boolean holds, Caution.When one) {
        if (holds) {
            to.add(one);
        }
    }
}
