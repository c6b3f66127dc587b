package umbel.season;

import java.time.LocalDate;
import java.util.Set;

/**
 * What the calendar needs to know of a block.
 *
 * @param traits of the kind that stands in it
 * @param leaf years since planting
 * @param diseases recorded on its plants; empty when none
 * @param fruiting whether its plants bear yet
 * @param harvested the day this season's harvest ended, null while it has not been recorded
 * @param latitude degrees, south negative
 */
public record SeasonBlock(
        SeasonTraits traits, int leaf, Set<String> diseases, boolean fruiting, LocalDate harvested, double latitude) {}
