package umbel.assess;

import umbel.counted.CountOperation;
import umbel.counted.CountStep;
import umbel.knowledge.Caution;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.work.Tool;

/** Says what a step on a counted plant is, where it is made and what it takes. */
final class CountText {

    private CountText() {}

    /** What is done. */
    static Statement titleOf(CountOperation operation) {
        return Statement.of("count.title." + operation.kind().word())
                .with("class", Value.choice(classOf(operation)))
                .with("cane", new Value.Name(operation.target()))
                .with("count", Value.count(operation.count()))
                .with("at", Value.centimetres(operation.atCm()))
                .with("keep", Value.count(operation.keepCount()))
                .with("perMetre", new Value.PerLength(operation.perMetre()))
                .with("nodes", Value.count(operation.nodes()));
    }

    /** Where exactly. */
    static Statement placeOf(CountOperation operation) {
        return Statement.of("count.place." + operation.kind().word()).with("class", Value.choice(classOf(operation)));
    }

    /** Thickness, tool and time. */
    static Statement numbersOf(CountStep step, Tool tool) {
        return Statement.of("step.numbers")
                .with("cut", Value.choice(step.diameterMm() > 0 ? "yes" : "no"))
                .with("diameter", Value.millimetres(step.diameterMm()))
                .with("tool", new Value.Term("tool." + tool.word()))
                .with("three", Value.choice("no"))
                .with("falls", Value.choice("no"))
                .with("mass", new Value.Mass(0))
                .with("time", new Value.Minutes(step.minutes()));
    }

    /** A caution. */
    static Statement cautionOf(Caution caution) {
        return Statement.of("step.caution")
                .with("caution", Value.choice(caution.id()))
                .with("text", new Value.Words(caution.text()));
    }

    /** What kind of target it is: a cane, several of one entry, or a class of canes by its last word. */
    private static String classOf(CountOperation operation) {
        String target = operation.target();
        int slash = target.lastIndexOf('/');
        return slash < 0 ? operation.count() > 1 ? "canes" : "cane" : target.substring(slash + 1);
    }
}
