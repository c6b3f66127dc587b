package umbel.app.instruction;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.TreeReadings;
import umbel.assess.Assessor;
import umbel.assess.Mark;
import umbel.compute.Cancellation;
import umbel.crew.WorkKind;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.instruction.BlockInstruction;
import umbel.instruction.SampleTree;
import umbel.knowledge.Knowledge;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Step;
import umbel.plan.VisitWorth;
import umbel.plant.SurveyedTree;
import umbel.wood.Units;

/** Finds the instruction of a block from its surveyed trees: plans each, looks for the sentences, and tells what they bring. */
@Component
class InstructionFinder {

    private final TreeReadings readings;
    private final Assessor assessor;
    private final Knowledge knowledge;

    InstructionFinder(TreeReadings readings, Assessor assessor, Knowledge knowledge) {
        this.readings = readings;
        this.assessor = assessor;
        this.knowledge = knowledge;
    }

    /**
     * The instruction that these surveyed trees of a block lead to.
     *
     * @param planned told after each tree that is planned
     */
    InstructionDocument of(List<SurveyEntry> entries, Runnable planned) {
        List<SampleTree> sample = new ArrayList<>();
        List<SurveyedTree> trees = new ArrayList<>();
        for (SurveyEntry entry : entries) {
            Cancellation.check();
            SurveyedTree read = readings.of(entry);
            PlanRequest wish = assessor.planRequest(read.request(), read.tree(), List.of(), Set.of());
            List<Operation> own =
                    Planner.recommended(read.tree(), read.reading(), wish, Assessor.seed(read.request()))
                            .workOf(0)
                            .stream()
                            .map(Step::operation)
                            .toList();
            sample.add(new SampleTree(entry.tree().label(), new VisitWorth(read.tree(), read.reading(), wish), own));
            trees.add(read);
            planned.run();
        }
        return document(BlockInstruction.of(sample, knowledge.instruction()), sample, trees, entries);
    }

    private static InstructionDocument document(
            BlockInstruction found, List<SampleTree> sample, List<SurveyedTree> trees, List<SurveyEntry> entries) {
        List<InstructionDocument.SampledTree> told = new ArrayList<>();
        Map<WorkKind, Double> minutes = new EnumMap<>(WorkKind.class);
        List<InstructionDocument.Outcome> before = new ArrayList<>();
        List<InstructionDocument.Outcome> after = new ArrayList<>();
        List<InstructionDocument.Outcome> planned = new ArrayList<>();
        long ties = 0;
        for (int i = 0; i < trees.size(); i++) {
            BlockInstruction.OnTree on = found.trees().get(i);
            told.add(new InstructionDocument.SampledTree(
                    entries.get(i).tree().id(),
                    on.name(),
                    Double.isNaN(on.share()) ? null : Double.valueOf(Units.round(on.share(), 3)),
                    on.agrees(),
                    on.otherwise(),
                    Units.round(on.minutes(), 2)));
            List<Mark> marks = on.operations().stream().map(Mark::of).toList();
            trees.get(i).visit(marks).minutesByKind().forEach((kind, count) -> minutes.merge(kind, count, Double::sum));
            if (marks.isEmpty()) {
                // a tree that needs nothing is looked at all the same
                minutes.merge(
                        WorkKind.DETAIL,
                        trees.get(i).tree().setting().system().work().lookMinutes(),
                        Double::sum);
            }
            ties += on.operations().stream()
                    .filter(one -> one.kind() == OperationKind.BEND)
                    .count();
            before.add(outcome(trees.get(i), List.of()));
            after.add(outcome(trees.get(i), marks));
            planned.add(outcome(
                    trees.get(i), sample.get(i).planned().stream().map(Mark::of).toList()));
        }
        Map<String, Double> byKind = new TreeMap<>();
        minutes.forEach((kind, sum) -> byKind.put(kind.name(), sum / trees.size()));
        return new InstructionDocument(
                found.sentences().stream()
                        .map(InstructionDocument.SaidSentence::of)
                        .toList(),
                Double.isNaN(found.share()) ? null : Double.valueOf(Units.round(found.share(), 3)),
                found.agreeing(),
                told,
                found.minutes(),
                found.cuts(),
                found.plannedMinutes(),
                found.enough(),
                byKind,
                (double) ties / trees.size(),
                mean(before),
                mean(after),
                mean(planned));
    }

    private static InstructionDocument.Outcome outcome(SurveyedTree tree, List<Mark> marks) {
        var totals = tree.totals(marks);
        return new InstructionDocument.Outcome(totals.shade(), totals.told().cropThisYear());
    }

    private static InstructionDocument.Outcome mean(List<InstructionDocument.Outcome> all) {
        return new InstructionDocument.Outcome(
                Units.round(
                        all.stream()
                                .mapToDouble(InstructionDocument.Outcome::shade)
                                .average()
                                .orElse(0),
                        3),
                Units.round(
                        all.stream()
                                .mapToDouble(InstructionDocument.Outcome::crop)
                                .average()
                                .orElse(0),
                        3));
    }
}
