package umbel.counted;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import umbel.survey.Survey;

/**
 * One counted plant as it travels in the open format {@code umbel-count/1}, in the units people measure in. Exactly one of
 * {@code canes} (a bush), {@code row} (a stretch of a cane row) and {@code vine} is there; everything optional may be null.
 *
 * @param format always {@value #FORMAT}
 * @param cropLastKg what it bore last season
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record CountSurvey(
        String format,
        PlantFacts plant,
        Survey.Site site,
        LocalDate surveyedOn,
        @JsonProperty("cropLast_kg") Double cropLastKg,
        List<BushCane> canes,
        Row row,
        Vine vine) {

    /** The format's name and version. */
    public static final String FORMAT = "umbel-count/1";

    /** What it bore last season, kg, wherever on the plant that was told; null where nobody told it. */
    public Double cropLast() {
        if (row != null && row.cropLastKg() != null) {
            return row.cropLastKg();
        }
        return vine != null && vine.cropLastKg() != null ? vine.cropLastKg() : cropLastKg;
    }

    /** How many canes and arms, or classes of canes, were told of it one by one. */
    public int parts() {
        int parts = canes == null ? 0 : canes.size();
        if (row != null) {
            parts += (int) row.allCanes().count();
        }
        if (vine != null) {
            parts += (vine.arms() == null ? 0 : vine.arms().size())
                    + (vine.canes() == null ? 0 : vine.canes().size());
        }
        return parts;
    }

    /** Diseases recorded on it, by name; {@code disease} where one was seen and not named. */
    public Set<String> diseases() {
        Set<String> found = new TreeSet<>();
        if (canes != null) {
            canes.forEach(cane -> Survey.recordDisease(cane.disease(), cane.condition(), found));
        }
        if (vine != null && vine.arms() != null) {
            vine.arms().forEach(arm -> Survey.recordDisease(arm.disease(), arm.condition(), found));
        }
        if (vine != null && vine.canes() != null) {
            vine.canes().forEach(cane -> Survey.recordDisease(cane.disease(), cane.condition(), found));
        }
        if (row != null && row.allCanes().anyMatch(group -> group.diseased() != null && group.diseased() > 0)) {
            found.add(Survey.UNNAMED_DISEASE);
        }
        return found;
    }

    /**
     * What the plant is.
     *
     * @param label the grower's name for it
     * @param kind kebab-case id of its kind
     * @param leaf years since planting
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PlantFacts(
            String label,
            String kind,
            Integer leaf,
            String system,
            Survey.Cultivar cultivar,
            @JsonProperty("spacing_m") Survey.Spacing spacing,
            @JsonProperty("rowBearing_deg") Double rowBearingDeg) {}

    /**
     * One cane of a bush, or several alike.
     *
     * @param count how many; one where it is not told
     * @param ageY 1 grew last season; null where it is not known
     * @param diameterMm at 30 cm
     * @param attitude upright, leaning, low or down
     * @param place centre, middle or outside
     * @param uprightShootCm height of a strong upright shoot on it; null where there is none
     * @param rubs canes it rubs on
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record BushCane(
            String id,
            Integer count,
            @JsonProperty("age_y") Double ageY,
            @JsonProperty("diameter_mm") Double diameterMm,
            @JsonProperty("height_cm") Double heightCm,
            String attitude,
            String place,
            @JsonProperty("bearing_deg") Double bearingDeg,
            List<String> condition,
            String disease,
            Boolean twiggy,
            Integer flowerBuds,
            @JsonProperty("upright_shoot_cm") Double uprightShootCm,
            List<String> rubs) {

        /** How many canes it stands for. */
        public int many() {
            return count == null ? 1 : count;
        }
    }

    /**
     * A stretch of a row.
     *
     * @param plants crowns on it; needed where canes come from crowns
     * @param samples several counts in place of one
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Row(
            @JsonProperty("length_m") Double lengthM,
            @JsonProperty("width_cm") Double widthCm,
            @JsonProperty("topWire_cm") Double topWireCm,
            Integer plants,
            @JsonProperty("cropLast_kg") Double cropLastKg,
            List<RowCanes> canes,
            List<Sample> samples) {

        /** The counts it was made by: its samples, or the one there is. */
        public List<Sample> counts() {
            return samples == null || samples.isEmpty() ? List.of(new Sample(lengthM, canes)) : samples;
        }

        /** All canes counted on it, class by class and count by count. */
        Stream<RowCanes> allCanes() {
            return counts().stream().map(Sample::canes).filter(Objects::nonNull).flatMap(List::stream);
        }

        /** Metres of row that were counted. */
        public double countedM() {
            return counts().stream().mapToDouble(Sample::metres).sum();
        }
    }

    /** One count of several along a row; a metre long where it is not told. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Sample(@JsonProperty("length_m") Double lengthM, List<RowCanes> canes) {

        /** Its length; a metre where it is not told. */
        double metres() {
            return lengthM == null ? 1 : lengthM;
        }
    }

    /**
     * Canes of one class.
     *
     * @param cane fruited (bore last season), new (grew last season) or current (growing now)
     * @param weak of them, thin ones inside the row
     * @param outside of them, beyond the row's width
     * @param diseased of them
     * @param rooting of them, with tips on the ground
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record RowCanes(
            @JsonProperty("class") String cane,
            int count,
            @JsonProperty("height_cm") Double heightCm,
            @JsonProperty("diameter_mm") Double diameterMm,
            Integer weak,
            Integer outside,
            Integer diseased,
            Integer rooting,
            Laterals laterals) {}

    /** Side branches of a cane: how many, how long, how many of them low. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Laterals(
            Double count, @JsonProperty("length_cm") Double lengthCm, Double low) {}

    /**
     * A vine.
     *
     * @param prunedAs cane or spur
     * @param wood which kind of vine, as its kind's file names them
     * @param pruningWeightKg of last season's wood
     * @param weightIs estimated or weighed
     * @param nodesLast nodes left last winter
     * @param budSample buds cut open
     * @param canopies 1, or 2 where the canopy is divided
     * @param nodeFormula the grower's own, where there is one
     * @param canopyM2 of kiwifruit, the canopy it covers
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Vine(
            String prunedAs,
            String wood,
            @JsonProperty("pruningWeight_kg") Double pruningWeightKg,
            String weightIs,
            Integer nodesLast,
            Integer shootsLast,
            @JsonProperty("cropLast_kg") Double cropLastKg,
            BudSample budSample,
            Integer canopies,
            NodeFormula nodeFormula,
            @JsonProperty("canopy_m2") Double canopyM2,
            Double fruitPerM2,
            String sex,
            List<Arm> arms,
            List<VineCane> canes) {}

    /** Buds cut open, and how many were dead. */
    public record BudSample(int n, int dead) {}

    /** Nodes for the first 450 g of prunings, and for each 450 g more. */
    public record NodeFormula(double base, double perWeight) {}

    /**
     * A permanent arm.
     *
     * @param positions spurs or canes it should carry
     * @param blind of them, empty
     * @param spurHeightCm how far its spurs stand above it
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Arm(
            String id,
            @JsonProperty("bearing_deg") Double bearingDeg,
            @JsonProperty("length_cm") Double lengthCm,
            @JsonProperty("age_y") Double ageY,
            Integer positions,
            Integer blind,
            @JsonProperty("spurHeight_cm") Double spurHeightCm,
            List<String> condition,
            String disease) {}

    /**
     * A cane of last season.
     *
     * @param arm the arm it stands on; null on a vine without arms
     * @param atCm how far from the arm's foot
     * @param lit whether it grew in the light; null where it was not looked at
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record VineCane(
            String id,
            String arm,
            @JsonProperty("at_cm") Double atCm,
            int nodes,
            @JsonProperty("length_cm") Double lengthCm,
            @JsonProperty("diameter_mm") Double diameterMm,
            Boolean lit,
            List<String> condition,
            String disease) {}
}
