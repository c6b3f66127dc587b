package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/** A rootstock somebody named in {@code rootstocks.yaml}, by its vigour class. */
public record Rootstock(String name, @JsonProperty("class") String vigourClass) {}
