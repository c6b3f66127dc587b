package umbel.growth;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import umbel.wood.Tree;

/**
 * The middle course of a tree under what may be done to it in coming years; each season is grown once, however many plans
 * share it. Asked for by several threads at once, a season may be grown twice, and comes out the same.
 */
public final class Seasons {

    private final TreeState start;
    private final double fruitLight;
    private final Map<List<Season.Work>, Season.Year> grown = new ConcurrentHashMap<>();
    private final Map<Integer, Forecast> alone = new ConcurrentHashMap<>();

    /**
     * The seasons after a tree's state.
     *
     * @param fruitLight light that fruit needs, share of open sky; shade is told against it
     */
    public Seasons(TreeState start, double fruitLight) {
        this.start = start;
        this.fruitLight = fruitLight;
    }

    /** Light that fruit needs, share of open sky. */
    double fruitLight() {
        return fruitLight;
    }

    /** The tree as it stands before any of them. */
    public TreeState start() {
        return start;
    }

    /**
     * The last of the seasons that follow each other.
     *
     * @param works what is done, year by year; at least one
     */
    public Season.Year after(List<Season.Work> works) {
        Season.Year known = grown.get(works);
        if (known == null) {
            int last = works.size() - 1;
            TreeState before = last == 0 ? start : after(works.subList(0, last)).after();
            known = Season.grow(before, works.get(last));
            grown.put(List.copyOf(works), known);
        }
        return known;
    }

    /** So many seasons with nothing done but hand thinning, as ranges. */
    public Forecast leftAlone(int years) {
        Forecast known = alone.get(years);
        if (known == null) {
            known = Forecast.of(start, Collections.nCopies(years, Season.Work.NONE), fruitLight);
            alone.put(years, known);
        }
        return known;
    }

    /** The trees grown so far that are kept. */
    public Stream<Tree> trees() {
        return grown.values().stream().map(year -> year.after().tree());
    }

    /** Lets go of the seasons grown so far, which take room; how it goes on left alone stays known. */
    public void forget() {
        grown.clear();
    }
}
