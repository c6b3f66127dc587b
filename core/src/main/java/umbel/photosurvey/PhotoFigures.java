package umbel.photosurvey;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.PhotographParameters;
import umbel.wood.Units;

/**
 * What a survey from photographs is asked by: distances to stand at, what is taken where nobody says otherwise, and what pictures do not
 * tell.
 *
 * @param classes thickness by gauge, the thinnest first
 * @param usualMm thickness of a limb whose class nobody entered
 * @param uprights strong uprights of a limb as they are asked for; the last stands for more
 */
public record PhotoFigures(
        @JsonProperty("staff_cm") double staffCm,
        @JsonProperty("focal35_mm") double focal35Mm,
        @JsonProperty("bestFrom_m") double bestFromM,
        @JsonProperty("bestTo_m") double bestToM,
        List<GaugeClass> classes,
        @JsonProperty("usual_mm") double usualMm,
        List<Integer> uprights) {

    /**
     * A class of the gauge.
     *
     * @param takenMm what a limb of it counts as: its middle
     * @param errorMm one sigma of that: thicknesses of a class are spread evenly over it
     */
    public record GaugeClass(
            @JsonProperty("from_mm") double fromMm,
            @JsonProperty("to_mm") double toMm,
            @JsonProperty("taken_mm") double takenMm,
            @JsonProperty("error_mm") double errorMm) {

        static GaugeClass of(double from, double to) {
            return new GaugeClass(from, to, (from + to) / 2, Units.round((to - from) / Math.sqrt(12), 1));
        }
    }

    /** The figures of the knowledge files. */
    public static PhotoFigures of(PhotographParameters parameters) {
        List<Double> edges = parameters.gauge().edgesMm();
        List<GaugeClass> classes = new ArrayList<>();
        for (int i = 1; i < edges.size(); i++) {
            classes.add(GaugeClass.of(edges.get(i - 1), edges.get(i)));
        }
        return new PhotoFigures(
                parameters.staffCm(),
                parameters.camera().focal35Mm(),
                parameters.camera().bestFromM(),
                parameters.camera().bestToM(),
                classes,
                parameters.gauge().usualMm(),
                parameters.uprights());
    }
}
