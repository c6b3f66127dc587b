package umbel.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * When each skill comes again: boxes after Leitner (1972, So lernt man lernen). A skill that was known moves one box on and rests
 * longer; one that was missed goes back to the first box and is due at once.
 */
public final class SkillBoxes {

    private SkillBoxes() {}

    /**
     * A skill shown once.
     *
     * @param skill id of the rule
     * @param known whether the fault was put right
     */
    public record Shown(String skill, LocalDate on, boolean known) {}

    /**
     * How a skill stands.
     *
     * @param box how often in a row it was known, as far as there are boxes
     * @param due day from which it comes again
     */
    public record Standing(String skill, int box, int shown, int known, LocalDate due) {}

    /**
     * How skills stand, those longest due first.
     *
     * @param shown in any order; of one day in the order given
     * @param boxesDays days that a skill rests in each box
     */
    public static List<Standing> of(List<Shown> shown, List<Integer> boxesDays) {
        List<Shown> inTime = new ArrayList<>(shown);
        inTime.sort(Comparator.comparing(Shown::on));
        Map<String, Standing> now = new TreeMap<>();
        for (Shown one : inTime) {
            Standing before = now.getOrDefault(one.skill(), new Standing(one.skill(), 0, 0, 0, one.on()));
            int box = one.known() ? Math.min(before.box() + 1, boxesDays.size() - 1) : 0;
            now.put(
                    one.skill(),
                    new Standing(
                            one.skill(),
                            box,
                            before.shown() + 1,
                            before.known() + (one.known() ? 1 : 0),
                            one.on().plusDays(boxesDays.get(box))));
        }
        return now.values().stream()
                .sorted(Comparator.comparing(Standing::due).thenComparing(Standing::skill))
                .toList();
    }
}
