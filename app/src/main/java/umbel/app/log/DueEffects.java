package umbel.app.log;

/** A visit of a farm whose effects are still to be worked out. */
public record DueEffects(Long farm, Long record) {}
