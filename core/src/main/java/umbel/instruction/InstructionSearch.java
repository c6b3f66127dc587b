package umbel.instruction;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import umbel.compute.Cancellation;
import umbel.cut.Operation;
import umbel.instruction.Sentence.Form;
import umbel.knowledge.InstructionParameters;
import umbel.plan.VisitWorth;

/**
 * Looks for the few sentences that gain most on the trees of a sample, not for those that imitate their plans: one form of sentence
 * after another is said with each of its gauges or left out, twice round, and then the least useful go until few enough are left.
 */
final class InstructionSearch {

    private final InstructionParameters numbers;
    private final Map<Form, Double> usual;
    private final Map<Key, VisitWorth.Visit> known = new ConcurrentHashMap<>();

    private record Key(SampleTree tree, List<Sentence> sentences) {}

    /**
     * A search.
     *
     * @param usual gauges that school and system begin from, where they have some
     */
    InstructionSearch(InstructionParameters numbers, Map<Form, Double> usual) {
        this.numbers = numbers;
        this.usual = Map.copyOf(usual);
    }

    /** The sentences that gain most on these trees, in the order they are carried out. */
    List<Sentence> best(List<SampleTree> trees) {
        List<Sentence> said = List.of();
        for (int round = 0; round < numbers.search().rounds(); round++) {
            for (Form form : Form.values()) {
                said = withBest(form, said, trees);
            }
        }
        while (said.size() > numbers.search().sentences()) {
            said = withoutLeastUseful(said, trees);
        }
        return said;
    }

    private List<Sentence> withBest(Form form, List<Sentence> said, List<SampleTree> trees) {
        List<Sentence> others = said.stream().filter(one -> one.form() != form).toList();
        List<Sentence> best = others;
        double most = value(others, trees);
        for (Sentence option : options(form)) {
            Cancellation.check();
            List<Sentence> with = with(others, option);
            double value = value(with, trees);
            if (value > most) {
                most = value;
                best = with;
            }
        }
        return best;
    }

    private List<Sentence> withoutLeastUseful(List<Sentence> said, List<SampleTree> trees) {
        return said.stream()
                .map(one -> said.stream().filter(other -> !other.equals(one)).toList())
                .max(Comparator.comparingDouble(rest -> value(rest, trees)))
                .orElseThrow();
    }

    /** A form with each gauge within reach of the usual one, and each limit a tree. */
    private List<Sentence> options(Form form) {
        InstructionParameters.Gauges gauges = numbers.sentences().get(form.word());
        List<Sentence> options = new ArrayList<>();
        if (gauges == null) {
            return options;
        }
        for (int most : gauges.most()) {
            if (gauges.gauges().isEmpty()) {
                options.add(new Sentence(form, 0, most));
            }
            for (int i = 0; i < gauges.gauges().size(); i++) {
                if (stepsFromUsual(form, i) <= numbers.search().stepsMost()) {
                    options.add(new Sentence(form, gauges.gauges().get(i), most));
                }
            }
        }
        return options;
    }

    private int stepsFromUsual(Form form, int index) {
        List<Double> gauges = numbers.sentences().get(form.word()).gauges();
        return gauges.isEmpty() ? 0 : Math.abs(index - stepOf(form, usualOf(form)));
    }

    private double usualOf(Form form) {
        return usual.getOrDefault(form, numbers.sentences().get(form.word()).usual());
    }

    /** The gauge nearest to a threshold. */
    int stepOf(Form form, double gauge) {
        List<Double> gauges = numbers.sentences().get(form.word()).gauges();
        int nearest = 0;
        for (int i = 1; i < gauges.size(); i++) {
            if (Math.abs(gauges.get(i) - gauge) < Math.abs(gauges.get(nearest) - gauge)) {
                nearest = i;
            }
        }
        return nearest;
    }

    private static List<Sentence> with(List<Sentence> others, Sentence one) {
        List<Sentence> more = new ArrayList<>(others);
        more.add(one);
        more.sort(Comparator.comparing(Sentence::form));
        return List.copyOf(more);
    }

    /** Mean gain, less what odd gauges and too many minutes cost. */
    private double value(List<Sentence> said, List<SampleTree> trees) {
        List<VisitWorth.Visit> visits = trees.parallelStream()
                .map(Cancellation.carried((SampleTree tree) -> on(tree, said)))
                .toList();
        InstructionParameters.Search search = numbers.search();
        double gain = 0;
        double minutes = 0;
        double planned = 0;
        for (int i = 0; i < trees.size(); i++) {
            VisitWorth.Visit visit = visits.get(i);
            gain += visit.gain() - (visit.withinLimits() ? 0 : search.overLimit());
            minutes += visit.minutes();
            planned += trees.get(i).plan().minutes();
        }
        int steps = said.stream()
                .filter(one ->
                        !numbers.sentences().get(one.form().word()).gauges().isEmpty())
                .mapToInt(one -> stepsFromUsual(one.form(), stepOf(one.form(), one.gauge())))
                .sum();
        double over = Math.max(0, minutes - search.minutesFactor() * planned) / trees.size();
        return gain / trees.size() - search.stepCost() * steps - search.minuteCost() * over;
    }

    /** The numbers it goes by. */
    InstructionParameters numbers() {
        return numbers;
    }

    /** What these sentences gain and take on a tree. */
    VisitWorth.Visit on(SampleTree tree, List<Sentence> said) {
        Key key = new Key(tree, said);
        VisitWorth.Visit visit = known.get(key);
        if (visit == null) {
            visit = tree.worth().of(operations(tree, said));
            known.put(key, visit);
        }
        return visit;
    }

    /** What these sentences do to a tree. */
    List<Operation> operations(SampleTree tree, List<Sentence> said) {
        return InstructedVisit.of(tree.worth().found(), said, numbers);
    }
}
