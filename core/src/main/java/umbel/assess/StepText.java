package umbel.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import umbel.cut.BudSide;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.cut.TargetAxes;
import umbel.knowledge.Caution;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.training.Device;
import umbel.training.Training;
import umbel.wood.Attitude;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Condition;
import umbel.wood.ShootClass;
import umbel.wood.Tree;
import umbel.work.Tool;

/** Says what an operation is, where exactly it is made, and what follows from it, in a reader's language and units. */
public final class StepText {

    /** Less falls unnoticed, kilograms. */
    private static final double FALLS_FROM = 0.5;

    private final Speech speech;

    public StepText(Speech speech) {
        this.speech = speech;
    }

    /** In English and metric units. */
    public static StepText english() {
        return new StepText(Speech.english());
    }

    /** What is done. */
    public String title(Tree tree, Operation operation) {
        return speech.say(titleOf(tree, operation));
    }

    /** Where exactly, and how. */
    public String place(Tree tree, Operation operation) {
        return speech.say(placeOf(tree, operation)).strip();
    }

    /** How a limb is held at its angle, in a sentence or two. */
    public String training(Training training) {
        return speech.say(trainingOf(training));
    }

    /** Thickness, tool, mass, minutes. */
    public String numbers(Effect effect) {
        return speech.say(numbersOf(effect));
    }

    /** What the tree is likely to answer; empty when nothing worth a word. */
    public String answer(Operation operation, Effect effect) {
        return speech.say(answerOf(operation, effect));
    }

    /** What is done, as a statement. */
    public static Statement titleOf(Tree tree, Operation operation) {
        Value limb = Value.limb(operation.onLimb());
        Statement title = Statement.of("step.title." + titleCode(operation)).with("limb", limb);
        boolean trunk = operation.target().equals(Target.TRUNK);
        return switch (operation.kind()) {
            case REMOVE ->
                operation.keep() > 0
                        ? title.with("keep", Value.number(operation.keep(), 0)).with("at", Value.length(operation.at()))
                        : operation.onGroup()
                                ? title.with("group", group(tree, operation))
                                : title.with("what", Value.choice(whatItIs(tree, operation.onLimb())));
            case REDUCE, LOWER_LEADER -> title.with("to", Value.limb(operation.toLimb()));
            case SHORTEN, RENEW_STUB -> title.with("at", Value.length(operation.at()));
            case BEND -> title.with("angle", new Value.Angle(operation.toAngle()));
            case SHORT_SPUR -> title.with("group", group(tree, operation)).with("at", Value.length(operation.at()));
            case THIN_SPURS -> title.with("keep", Value.number(operation.keep(), 0));
            case DEFLOWER, WATCH -> title.with("all", Value.choice(trunk ? "yes" : "no"));
            default -> title;
        };
    }

    private static String titleCode(Operation operation) {
        if (operation.kind() == OperationKind.REMOVE && operation.keep() > 0) {
            return operation.shortensWhatStays() ? "thin-shorten" : "thin";
        }
        if (operation.kind() == OperationKind.REMOVE && operation.onGroup()) {
            return "remove-group";
        }
        return operation.onBuds() ? "choose-buds" : operation.kind().word();
    }

    private static String whatItIs(Tree tree, String id) {
        Axis limb = tree.find(id).orElseThrow();
        return limb.is(Condition.DEAD) ? "dead" : isStock(tree, limb) ? "stock" : "limb";
    }

    private static boolean isStock(Tree tree, Axis limb) {
        return limb.parent() == 0 && limb.at() < tree.setting().unionAt();
    }

    private static Value group(Tree tree, Operation operation) {
        String size = "any";
        String way = "any";
        if (operation.target() instanceof Target.Shoots shoots) {
            size = shoots.shootClass().map(ShootClass::word).orElse(size);
            way = shoots.attitude().map(Attitude::word).orElse(way);
        }
        return new Value.Several(List.of(Statement.of("step.group")
                .with("count", Value.count(TargetAxes.of(tree, operation).size()))
                .with("size", Value.choice(size))
                .with("way", Value.choice(way))
                .with("kind", Value.choice(operation.target() instanceof Target.Spurs ? "spur" : "shoot"))));
    }

    /** Where exactly, and how, as a statement. */
    public static Statement placeOf(Tree tree, Operation operation) {
        return switch (operation.kind()) {
            case REMOVE ->
                operation.onGroup()
                        ? Statement.of(operation.keep() > 0 ? "step.place.thin-group" : "step.place.group")
                        : removePlace(tree, operation.onLimb());
            case REDUCE, LOWER_LEADER ->
                Statement.of("step.place.reduce")
                        .with("to", Value.limb(operation.toLimb()))
                        .with("at", Value.length(operation.at()));
            case HEAD, TIP -> headPlace(tree, operation);
            case BEND -> bendPlace(tree, operation);
            case RUB -> operation.onBuds() ? budPlace(tree, operation) : Statement.of("step.place.rub");
            case RENEW_STUB -> Statement.of("step.place.renew-stub").with("at", Value.length(operation.at()));
            default -> Statement.of("step.place." + operation.kind().word());
        };
    }

    private static Statement budPlace(Tree tree, Operation operation) {
        Axis limb = tree.find(operation.onLimb()).orElseThrow();
        double from = Math.max(operation.at(), limb.length() - limb.lastGrowth());
        boolean above = operation.keep() > 0;
        return Statement.of("step.place.buds")
                .with("below", Value.choice(operation.at() > 0 ? "yes" : "no"))
                .with("at", Value.length(operation.at()))
                .with("above", Value.choice(above ? "yes" : "no"))
                .with("keep", Value.number(operation.keep(), 0))
                .with("gap", Value.length(above ? (limb.length() - from) / operation.keep() : 0));
    }

    private static Statement headPlace(Tree tree, Operation operation) {
        BudSide bud = BudSide.of(tree, tree.find(operation.onLimb()).orElseThrow());
        return Statement.of("step.place.head")
                .with(
                        "gap",
                        Value.millimetres(
                                tree.setting().parameters().cutting().places().budMm()))
                .with("side", Value.choice(bud.word()))
                .with("bearing", new Value.Bearing(bud.bearing()))
                .with("at", Value.length(operation.at()));
    }

    private static Statement removePlace(Tree tree, String id) {
        Axis limb = tree.find(id).orElseThrow();
        if (limb.is(Condition.DISEASED)) {
            return Statement.of("step.place.diseased")
                    .with(
                            "below",
                            Value.centimetres(tree.setting().species().disease().cutBelowCm()));
        }
        return Statement.of(isStock(tree, limb) ? "step.place.stock" : "step.place.union");
    }

    private static Statement bendPlace(Tree tree, Operation operation) {
        Axis limb = tree.find(operation.onLimb()).orElseThrow();
        return Statement.of("step.place.bend")
                .with("angle", new Value.Angle(limb.baseInclination()))
                .with("how", new Value.Sentences(trainingOf(Training.of(tree, limb, operation.toAngle()))));
    }

    /** How a limb is held at its angle, as statements. */
    public static List<Statement> trainingOf(Training training) {
        List<Statement> said = new ArrayList<>();
        said.add(Statement.of("step.held." + training.device().word())
                .with("along", Value.length(training.alongLimb()))
                .with("length", Value.length(training.length()))
                .with("anchors", Value.count(training.anchors()))
                .with("pull", new Value.Force(training.pull()))
                .with("mass", new Value.Mass(training.mass())));
        said.add(training.why());
        if (training.device() != Device.CLIP) {
            said.add(Statement.of("step.held.look-after").with("weeks", Value.number(training.weeks(), 0)));
        }
        return said;
    }

    /** How a limb is spoken of. */
    public String name(String limb) {
        return speech.say(Statement.of("limb-name").with("limb", Value.limb(limb)));
    }

    /** Thickness, tool, mass, minutes, as a statement. */
    public static Statement numbersOf(Effect effect) {
        return Statement.of("step.numbers")
                .with("cut", Value.choice(effect.diameter() > 0 ? "yes" : "no"))
                .with("diameter", Value.thickness(effect.diameter()))
                .with("tool", new Value.Term("tool." + effect.tool().word()))
                .with("three", Value.choice(effect.threeStep() ? "yes" : "no"))
                .with("falls", Value.choice(effect.mass() >= FALLS_FROM ? "yes" : "no"))
                .with("mass", new Value.Mass(Math.max(1, Math.round(effect.mass()))))
                .with("time", new Value.Minutes(effect.minutes()));
    }

    /** What the tree is likely to answer, as a statement; null when nothing worth a word. */
    public static Statement answerOf(Operation operation, Effect effect) {
        if (operation.kind() == OperationKind.RENEW_BEVEL) {
            return Statement.of("step.answer.bevel");
        }
        long sprouts = Math.round(effect.sprouts());
        return sprouts == 0 ? null : Statement.of("step.answer.sprouts").with("count", Value.count(sprouts));
    }

    /** Which cautions belong to a step. */
    public static List<String> cautions(Tree tree, Operation operation, Effect effect, List<Caution> all) {
        return called(tree, operation, effect, all).map(Caution::text).toList();
    }

    /** Which cautions belong to a step, as statements. */
    static List<Statement> cautionsOf(Tree tree, Operation operation, Effect effect, List<Caution> all) {
        return called(tree, operation, effect, all)
                .map(caution -> Statement.of("step.caution")
                        .with("caution", Value.choice(caution.id()))
                        .with("text", new Value.Words(caution.text())))
                .toList();
    }

    private static Stream<Caution> called(Tree tree, Operation operation, Effect effect, List<Caution> all) {
        Set<Caution.When> when = circumstances(tree, operation, effect);
        return all.stream().filter(one -> when.contains(one.when()));
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
