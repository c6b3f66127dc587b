package umbel.growth;

import umbel.light.LightField;
import umbel.wood.Tree;

/**
 * A tree in winter, with what it carries into the next season.
 *
 * @param year seasons grown since the survey; 0 is the tree as found
 * @param light of the season that ended
 * @param reserve dry mass laid up in root and wood, kilograms
 * @param assimilated dry mass the leaf made in the season that ended, kilograms
 * @param seed of all draws; two futures of one tree share it
 * @param brighter how much brighter the coarse light of the seasons reads the fruiting sites than a full reading does, as
 *     found on the tree that was surveyed
 */
public record TreeState(
        Tree tree,
        int year,
        LightField light,
        double reserve,
        double assimilated,
        GrowthTraits traits,
        long seed,
        double brighter) {

    /** The same stand in the light of another temper. */
    TreeState with(GrowthTraits other) {
        return new TreeState(tree, year, light, reserve, assimilated, other, seed, brighter);
    }
}
