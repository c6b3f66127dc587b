package umbel.app.farm;

/**
 * How many of something a farm has.
 *
 * @param farm its number
 */
public record FarmCount(Long farm, Long count) {}
