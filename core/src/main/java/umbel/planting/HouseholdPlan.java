package umbel.planting;

import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/**
 * What several kinds of trees bring a house: fruit month by month against what is wanted, who pollinates whom, and what fits a fence
 * and takes a net. What a tree bears is that of the typical tree of its kind and system when it is full. See docs/model/planting.md.
 */
public final class HouseholdPlan {

    private static final int MONTHS = 12;
    /** So that what fits to the millimetre fits. */
    private static final double ROUNDING = 1e-9;

    /** How the trees of a line are pollinated. */
    public enum Partner {
        /** It sets alone. */
        NONE_NEEDED,
        /** It sets alone, and a partner that would help is there. */
        HELPED,
        /** It sets alone, and more with a partner, which is not there. */
        WOULD_HELP,
        /** A partner it needs is there. */
        FOUND,
        /** It needs another cultivar of its kind, and there is none. */
        MISSING,
        /** There is another cultivar of its kind, which blooms at another time. */
        OTHER_TIME,
        /** Nothing is known of what it needs. */
        UNKNOWN
    }

    /** A month against what is wanted in it. */
    public enum Verdict {
        /** Before the first and after the last fruit. */
        NOTHING_RIPE,
        GAP,
        RIGHT,
        GLUT
    }

    /** When a line blooms and is picked. */
    public record Days(MonthDay bloom, MonthDay faded, MonthDay from, MonthDay to) {}

    /**
     * Trees of one cultivar.
     *
     * @param kgATree of a full tree, what is lost taken off
     * @param firstCropLeaf leaf of the first crop; empty where nothing is known of it
     * @param fullLeaf leaf in which it fills its place
     * @param days empty for evergreens, whose months are not known
     * @param partners places of the lines that bloom with it and are of its kind
     * @param roomM width that each takes, metres
     * @param heightM of the full tree, metres
     */
    public record Line(
            Household.WishedTree tree,
            double kgATree,
            OptionalInt firstCropLeaf,
            int fullLeaf,
            Optional<Days> days,
            Partner partner,
            List<Integer> partners,
            double roomM,
            double heightM) {}

    /** Fruit of a month, kg, and what is wanted in it. */
    public record Month(int month, double kg, double wanted, Verdict verdict) {}

    /** A net over trees: its area, m², and its mesh, mm. */
    public record Net(double areaM2, double meshMm) {}

    /**
     * The trees along the fence.
     *
     * @param usedM of its length
     * @param leftM negative where they do not fit
     * @param more how many more of each line fit into what is left, by its place
     * @param notFlat places of lines that are not trained flat and so stand off the fence
     * @param tooHigh places of lines that grow above it
     * @param net over all that stand against it
     */
    public record AlongFence(
            double usedM, double leftM, List<Integer> more, List<Integer> notFlat, List<Integer> tooHigh, Net net) {}

    private final Household wish;
    private final Knowledge knowledge;
    private final PlantingParameters numbers;
    private final PickingCalendar calendar;
    private final List<Optional<PickingCalendar.Days>> days;
    private final List<Line> lines;

    /** Works out a wish that was completed by {@link HouseholdCheck}; a tenth of a second a line. */
    public HouseholdPlan(Household wish, Knowledge knowledge) {
        this.wish = wish;
        this.knowledge = knowledge;
        this.numbers = knowledge.planting();
        this.calendar = new PickingCalendar(numbers.year(), wish.latitudeDeg());
        this.days = wish.trees().stream()
                .map(tree -> calendar.of(species(tree), tree.ripening(), tree.blooming(), numbers.household()))
                .toList();
        List<Line> all = new ArrayList<>();
        for (int i = 0; i < wish.trees().size(); i++) {
            all.add(line(i));
        }
        this.lines = List.copyOf(all);
    }

    /** The trees, in the order they were wished for. */
    public List<Line> lines() {
        return lines;
    }

    private Line line(int at) {
        Household.WishedTree tree = wish.trees().get(at);
        TrainingSystem system = knowledge.system(tree.system());
        String stock = system.stocks().get(system.stocks().size() / 2);
        PlantingRequest.Planting option = new PlantingRequest.Planting(
                tree.species(),
                tree.species(),
                tree.system(),
                stock,
                "moderate",
                new PlantingRequest.Distances(
                        system.spacing().inRow(), system.spacing().betweenRows()),
                1.0,
                0.0,
                null,
                null,
                null);
        int full = system.shape().fullAtLeaf();
        GrownTrees.InLeaf grown =
                GrownTrees.grow(option, option.spacing(), wish.latitudeDeg(), full, wish.seed(), knowledge);
        Integer first = species(tree).growing().bearingLeaf().get(stock);
        List<Integer> partners = partners(at);
        return new Line(
                tree,
                grown.fruits() * grown.fruitMass() * numbers.defaults().fieldShare(),
                first == null ? OptionalInt.empty() : OptionalInt.of(first),
                full,
                days.get(at)
                        .map(one -> new Days(
                                calendar.here(one.bloom()),
                                calendar.here(one.faded()),
                                calendar.here(one.from()),
                                calendar.here(one.to()))),
                partner(at, partners),
                partners,
                system.spacing().inRow(),
                grown.height());
    }

    private List<Integer> partners(int at) {
        List<Integer> partners = new ArrayList<>();
        for (int other = 0; other < days.size(); other++) {
            if (other != at && isOtherCultivar(at, other) && bloomTogether(at, other)) {
                partners.add(other);
            }
        }
        return partners;
    }

    private boolean isOtherCultivar(int at, int other) {
        return wish.trees().get(at).species().equals(wish.trees().get(other).species());
    }

    private boolean bloomTogether(int at, int other) {
        return days.get(at).isEmpty()
                || days.get(other).isEmpty()
                || days.get(at).get().bloomingWith(days.get(other).get())
                        >= numbers.household().partnerOverlapDays();
    }

    private Partner partner(int at, List<Integer> partners) {
        String need = species(wish.trees().get(at)).pollination();
        if (need == null) {
            return Partner.UNKNOWN;
        }
        return switch (need) {
            case "self" -> Partner.NONE_NEEDED;
            case "helped" -> partners.isEmpty() ? Partner.WOULD_HELP : Partner.HELPED;
            default -> {
                if (!partners.isEmpty()) {
                    yield Partner.FOUND;
                }
                boolean another = false;
                for (int other = 0; other < days.size(); other++) {
                    another = another || other != at && isOtherCultivar(at, other);
                }
                yield another ? Partner.OTHER_TIME : Partner.MISSING;
            }
        };
    }

    /** Fruit of every month, January first; evergreens are left out, as nobody knows when they bear. */
    public List<Month> months() {
        double[] kg = new double[MONTHS];
        for (int i = 0; i < lines.size(); i++) {
            spread(kg, i);
        }
        double wanted = wish.people() * wish.kgPerPersonMonth();
        List<Month> months = new ArrayList<>();
        for (int month = 0; month < MONTHS; month++) {
            months.add(new Month(month + 1, kg[month], wanted, verdict(kg, month, wanted)));
        }
        return months;
    }

    private void spread(double[] kg, int at) {
        Optional<PickingCalendar.Days> picked = days.get(at);
        if (picked.isEmpty()) {
            return;
        }
        int from = picked.get().from();
        int to = picked.get().to();
        double aDay = lines.get(at).kgATree() * lines.get(at).tree().count() / (to - from + 1);
        for (int day = from; day <= to; day++) {
            kg[calendar.here(day).getMonthValue() - 1] += aDay;
        }
    }

    /** A gap is told within the season only: from the first month with fruit to the last, going round the turn of the year. */
    private Verdict verdict(double[] kg, int month, double wanted) {
        if (kg[month] > numbers.household().glutOver() * wanted) {
            return Verdict.GLUT;
        }
        if (kg[month] >= numbers.household().gapUnder() * wanted) {
            return Verdict.RIGHT;
        }
        return isWithinSeason(kg, month) ? Verdict.GAP : Verdict.NOTHING_RIPE;
    }

    /** Whether a month lies outside of the longest stretch without fruit, which is the time of rest. */
    private static boolean isWithinSeason(double[] kg, int month) {
        if (kg[month] > 0) {
            return true;
        }
        int[] empty = new int[MONTHS];
        int longest = 0;
        for (int from = 0; from < MONTHS; from++) {
            int length = 0;
            while (length < MONTHS && kg[(from + length) % MONTHS] <= 0) {
                length++;
            }
            empty[from] = length;
            longest = Math.max(longest, length);
        }
        for (int from = 0; from < MONTHS; from++) {
            boolean holds = Math.floorMod(month - from, MONTHS) < empty[from];
            if (holds && empty[from] == longest) {
                return false;
            }
        }
        return true;
    }

    /** What fits the fence; empty where the trees stand free. */
    public Optional<AlongFence> alongFence() {
        if (wish.fence() == null) {
            return Optional.empty();
        }
        double used = 0;
        double highest = 0;
        double deepest = 0;
        List<Integer> notFlat = new ArrayList<>();
        List<Integer> tooHigh = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            TrainingSystem system = knowledge.system(line.tree().system());
            if (!system.isPlane()) {
                notFlat.add(i);
                continue;
            }
            used += line.roomM() * line.tree().count();
            highest = Math.max(highest, line.heightM());
            deepest = Math.max(deepest, system.shape().depth());
            if (line.heightM() > wish.fence().height()) {
                tooHigh.add(i);
            }
        }
        double left = wish.fence().length() - used;
        List<Integer> more = IntStream.range(0, lines.size())
                .mapToObj(i ->
                        notFlat.contains(i) ? 0 : fitting(left, lines.get(i).roomM()))
                .toList();
        return Optional.of(new AlongFence(used, left, more, notFlat, tooHigh, net(used, highest, deepest)));
    }

    private static int fitting(double left, double roomM) {
        return (int) Math.max(0, Math.floor(left / roomM + ROUNDING));
    }

    /** A net hung from above over the front, the top and both ends; nothing where nothing stands there. */
    private Net net(double length, double height, double depth) {
        double over = numbers.household().net().over();
        boolean insects = wish.trees().stream()
                .anyMatch(tree -> numbers.household().net().insectKinds().contains(tree.species()));
        double mesh = insects
                ? numbers.household().net().insectsMm()
                : numbers.household().net().birdsMm();
        if (length <= 0) {
            return new Net(0, mesh);
        }
        double front = (length + 2 * over) * (height + over + depth + over);
        double ends = 2 * (depth + over) * (height + over);
        return new Net(front + ends, mesh);
    }

    /** Fruit of a full year, kg; evergreens included. */
    public double kgAYear() {
        return lines.stream()
                .mapToDouble(line -> line.kgATree() * line.tree().count())
                .sum();
    }

    private Species species(Household.WishedTree tree) {
        return knowledge.species(tree.species());
    }

    /** What a year wants, kg, in the months in which something is ripe. */
    public OptionalDouble wantedAYear() {
        long months = months().stream()
                .filter(month -> month.verdict() != Verdict.NOTHING_RIPE)
                .count();
        return months == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(months * wish.people() * wish.kgPerPersonMonth());
    }
}
