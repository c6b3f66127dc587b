package umbel.app.measure;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Locale;

/** What is measured on a tree besides its survey. */
enum MeasureKind {
    /** The prunings of a visit, fresh, in kilograms. */
    @JsonProperty("prunings")
    PRUNINGS(5000),
    /** The share of sky in a photograph taken straight up from under the tree in leaf, 0…1. */
    @JsonProperty("sky")
    SKY(1);

    private final double most;

    MeasureKind(double most) {
        this.most = most;
    }

    /** The largest amount that is taken. */
    double most() {
        return most;
    }

    /** As it is kept and answered. */
    String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
