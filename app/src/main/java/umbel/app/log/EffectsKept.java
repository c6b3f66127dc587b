package umbel.app.log;

/** What a visit to a tree of a block came to was worked out and kept. */
public record EffectsKept(Long blockId) {}
