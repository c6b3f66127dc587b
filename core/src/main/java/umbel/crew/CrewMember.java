package umbel.crew;

import java.time.DayOfWeek;
import java.util.Set;

/**
 * Somebody who cuts.
 *
 * @param hoursADay hours at the trees in a day
 * @param saw whether trained with saws
 * @param ladder whether goes up ladders
 * @param weekdays days of the week he or she works
 */
public record CrewMember(long id, String name, double hoursADay, boolean saw, boolean ladder, Set<DayOfWeek> weekdays) {

    /** Whether this person may do work of a kind. */
    public boolean can(WorkKind kind) {
        return kind == WorkKind.SAW ? saw : kind == WorkKind.LADDER ? ladder : true;
    }
}
