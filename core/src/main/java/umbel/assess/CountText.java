package umbel.assess;

import java.util.ArrayList;
import java.util.List;
import umbel.counted.CountOperation;
import umbel.counted.CountStep;
import umbel.knowledge.Caution;
import umbel.knowledge.CountedKind;
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

    /** How a kind is kept. */
    static List<Statement> factsOf(CountedKind kind) {
        List<Statement> facts = new ArrayList<>();
        if (kind.bush() != null) {
            CountedKind.Bush bush = kind.bush();
            facts.add(Statement.of("count.fact.bush")
                    .with("least", Value.number(bush.canes().least(), 0))
                    .with("most", Value.number(bush.canes().most(), 0))
                    .with("share", Value.share(bush.quota().share()))
                    .with("old", Value.count(bush.oldAfter()))
                    .with("height", Value.centimetres(bush.height())));
        }
        if (kind.row() != null) {
            row(kind.row(), facts);
        }
        if (kind.vine() != null) {
            vine(kind.vine(), facts);
        }
        return facts;
    }

    private static void row(CountedKind.Row row, List<Statement> facts) {
        facts.add(Statement.of("count.fact.row")
                .with("mown", Value.choice(row.isMown() ? "yes" : "no"))
                .with("least", new Value.PerLength(row.range().least()))
                .with("most", new Value.PerLength(row.range().most()))
                .with("width", Value.centimetres(row.width())));
        if (row.tip().summer() != null) {
            facts.add(Statement.of("count.fact.tip")
                    .with("height", Value.centimetres(row.tip().summer())));
        }
        if (row.laterals() != null) {
            facts.add(Statement.of("count.fact.laterals")
                    .with("keep", Value.centimetres(row.laterals().keep()))
                    .with("low", Value.centimetres(row.laterals().low())));
        }
        facts.add(Statement.of("count.fact.trellis").with("trellis", Value.choice(row.trellis())));
    }

    private static void vine(CountedKind.Vine vine, List<Statement> facts) {
        vine.woods()
                .values()
                .forEach(wood -> facts.add(Statement.of("count.fact.vine")
                        .with("name", new Value.Words(wood.name()))
                        .with(
                                "by",
                                Value.choice(
                                        vine.fruit() != null ? "area" : wood.base() != null ? "weight" : "kilogram"))
                        .with("base", Value.number(wood.base() == null ? 0 : wood.base(), 0))
                        .with("more", Value.number(wood.perWeight() == null ? 0 : wood.perWeight(), 0))
                        .with("perKg", Value.number(wood.nodesPerKg() == null ? 0 : wood.nodesPerKg(), 0))
                        .with(
                                "fruit",
                                Value.number(
                                        vine.fruit() == null ? 0 : vine.fruit().perM2(), 0))));
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
