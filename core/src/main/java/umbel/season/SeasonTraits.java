package umbel.season;

import java.util.Map;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/**
 * What the calendar needs to know of a kind of plant: when it wakes, blooms and ripens, which of its phases suit its cut, and what
 * it stands.
 *
 * @param name of the kind
 * @param one the fruit in running text
 * @param phases whether each phase of the season suits its main cut
 * @param coldC cold it stands when freshly cut, °C
 * @param bloomRank how early it blooms; 1 is earliest
 * @param rainEnters whether rain brings disease into fresh wounds of sound plants too
 * @param heightM how tall it is kept, metres; 0 where all work is done from the ground
 * @param reachFactor how much farther than usual a person reaches into it
 * @param mainDays days of the year that suit the main cut best while it is dormant; null where its phases tell it all
 */
public record SeasonTraits(
        String name,
        String one,
        Species.Season season,
        Map<String, Species.PhaseRule> phases,
        double coldC,
        int bloomRank,
        boolean rainEnters,
        double heightM,
        double reachFactor,
        CountedKind.Days mainDays) {

    private static final String STONE_FRUIT = "stone";

    /** Those of a fruit tree as it is trained. */
    public static SeasonTraits of(Species species, TrainingSystem system) {
        return new SeasonTraits(
                species.name(),
                species.names().one(),
                species.season(),
                species.phases(),
                species.growing().coldC(),
                species.growing().bloomRank(),
                species.kind().equals(STONE_FRUIT),
                system.shape().height(),
                system.reachFactor(),
                null);
    }

    /**
     * Those of a bush, a cane row or a vine at a place.
     *
     * @param latitudeDeg degrees, negative in the south
     * @param elevationM metres
     */
    public static SeasonTraits of(CountedKind kind, double latitudeDeg, double elevationM) {
        return new SeasonTraits(
                kind.name(),
                kind.names().one(),
                kind.season(),
                kind.phases(),
                kind.hardiness().coldC(),
                kind.hardiness().bloomRank(),
                kind.hardiness().rainEnters(),
                0,
                1,
                kind.window(CountedKind.MAIN_WORK)
                        .map(window -> window.at(latitudeDeg, elevationM))
                        .orElse(null));
    }

    /** Whether it stands higher than a person reaches. */
    boolean needsLadder(double reach) {
        return heightM > reach * reachFactor;
    }
}
