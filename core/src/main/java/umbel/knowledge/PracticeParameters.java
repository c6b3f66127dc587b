package umbel.knowledge;

import java.util.List;

/**
 * Numbers of practice. Read from {@code knowledge/practice.yaml}; see docs/model/practice.md.
 *
 * @param pass share of the plan's gain from which an answer passes
 * @param overLimit most that an answer gets which takes more than a visit may
 * @param matters share of the plan's gain from which one step helps or harms
 * @param settled what each step that nobody disputes counts of the mark; together at most {@code settledMost}
 * @param routine the same of the system's yearly work
 * @param missedMost steps told as missed
 * @param leastGain gain of a plan under which a tree needs no visit
 * @param levels by name, the easiest first
 * @param tries trees made before a wish is given up
 * @param systemsMost of a kind's systems that exercises are made in, the usual ones first
 * @param species ids drawn from where none is wished for
 * @param eye what a round of small drawings is made of
 * @param drill what a minute's drill is made of
 * @param agreement words for how far people agree
 * @param boxesDays days after which a skill comes again, by how often it was known
 */
public record PracticeParameters(
        double pass,
        double overLimit,
        double matters,
        double settled,
        double routine,
        double settledMost,
        int missedMost,
        double leastGain,
        List<Level> levels,
        int tries,
        int systemsMost,
        List<String> species,
        Eye eye,
        Drill drill,
        AgreeWords agreement,
        List<Integer> boxesDays) {

    /** From which kappa people agree fairly, and from which well. */
    public record AgreeWords(double fairly, double well) {

        /** well, fairly or little. */
        public String of(double kappa) {
            return kappa >= well ? "well" : kappa >= fairly ? "fairly" : "little";
        }
    }

    /** Small drawings a round, and the share answered rightly from which it is passed. */
    public record Eye(int questions, double pass) {}

    /**
     * A minute's drill.
     *
     * @param trees how many it has
     * @param faults words of the faults it draws from: such as are seen on one limb
     */
    public record Drill(int trees, List<String> faults) {}

    /**
     * How hard an exercise is.
     *
     * @param faults words of the faults it draws from
     * @param count how many of them a tree has
     * @param leaf from and to, as shares of the years until the system is full
     */
    public record Level(String name, List<String> faults, int count, List<Double> leaf) {}
}
