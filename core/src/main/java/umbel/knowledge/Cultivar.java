package umbel.knowledge;

/**
 * A cultivar somebody named in {@code cultivars.yaml}: what it changes in its species.
 *
 * @param species id of its species
 * @param habit spur, standard, tip, upright, spreading or weeping
 * @param set light, moderate or heavy
 * @param vigour light, moderate or heavy
 * @param bloomGroup null when not known
 * @param fruitMassG null for the species' usual fruit
 */
public record Cultivar(
        String name,
        String species,
        String habit,
        String set,
        String vigour,
        Integer bloomGroup,

        @com.fasterxml.jackson.annotation.JsonProperty("fruitMass_g")
        Double fruitMassG) {}
