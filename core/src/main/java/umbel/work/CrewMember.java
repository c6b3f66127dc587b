package umbel.work;

/**
 * Somebody who cuts.
 *
 * @param hoursADay hours at the trees in a day
 * @param saw whether trained with saws
 * @param ladder whether goes up ladders
 */
public record CrewMember(long id, String name, double hoursADay, boolean saw, boolean ladder) {

    /** Whether this person may do work of a kind. */
    public boolean can(WorkKind kind) {
        return kind == WorkKind.SAW ? saw : kind == WorkKind.LADDER ? ladder : true;
    }
}
