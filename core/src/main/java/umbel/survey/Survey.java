package umbel.survey;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * One surveyed tree as it travels in the open format {@code umbel-survey/1}: what a person measured, in the units they
 * measured it in (centimetres, millimetres, degrees). Everything optional may be null here; {@code umbel.wood} turns a
 * survey into a tree in SI units and fills what is missing by named estimates.
 *
 * @param format always {@value #FORMAT}
 * @param tree what the tree is
 * @param site where it stands; null when not given
 * @param surveyedOn day of the survey; null when not given
 * @param trunk the trunk up to its own top
 * @param limbs every measured limb, in the order surveyed
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Survey(
        String format, TreeFacts tree, Site site, LocalDate surveyedOn, TrunkMeasure trunk, List<LimbMeasure> limbs) {

    /** The format's name and version. */
    public static final String FORMAT = "umbel-survey/1";

    /** The id by which limbs name the trunk as their parent. */
    public static final String TRUNK = "trunk";

    /** What a disease is called that was seen and not named. */
    public static final String UNNAMED_DISEASE = "disease";

    private static final String DISEASED = "diseased";

    public Survey {
        limbs = List.copyOf(limbs);
    }

    /** Diseases recorded on its limbs, by name; {@value #UNNAMED_DISEASE} where one was seen and not named. */
    public Set<String> diseases() {
        Set<String> found = new TreeSet<>();
        limbs.forEach(limb -> recordDisease(limb.disease(), limb.condition(), found));
        return found;
    }

    /** Adds what a disease and a condition of one piece of wood tell of sickness; either may be null. */
    public static void recordDisease(String disease, List<String> condition, Set<String> found) {
        if (disease != null && !disease.isBlank()) {
            found.add(disease);
        } else if (condition != null && condition.contains(DISEASED)) {
            found.add(UNNAMED_DISEASE);
        }
    }

    /**
     * What the tree is.
     *
     * @param label the grower's name for it
     * @param species kebab-case species id
     * @param leaf years since planting; a tree in its fourth season is in leaf 4
     * @param system kebab-case training-system id
     * @param spacing metres to the neighbours
     * @param rowBearingDeg bearing of the row, degrees from north
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record TreeFacts(
            String label,
            String species,
            Integer leaf,
            String system,
            Cultivar cultivar,
            Rootstock rootstock,
            @JsonProperty("spacing_m") Spacing spacing,
            @JsonProperty("rowBearing_deg") Double rowBearingDeg) {}

    /** The grower's own name for the cultivar, and the three traits that change how it is read. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Cultivar(String name, String habit, String set, String vigour) {}

    /** The grower's own name for the stock, and its class of vigour. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Rootstock(
            String name, @JsonProperty("class") String vigourClass) {}

    /** Distances to the neighbours, metres. */
    public record Spacing(double inRow, double betweenRows) {}

    /**
     * Where the tree stands.
     *
     * @param latitudeDeg degrees north of the equator
     * @param elevationM metres
     * @param slopeDeg slope of the ground
     * @param uphillDeg bearing of the uphill side
     * @param netShare share of the light a hail net keeps out, 0…1
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Site(
            @JsonProperty("latitude_deg") Double latitudeDeg,
            @JsonProperty("elevation_m") Double elevationM,
            @JsonProperty("slope_deg") Double slopeDeg,
            @JsonProperty("uphill_deg") Double uphillDeg,
            Double netShare) {

        /** A level site without a net. */
        public static Site level(Double latitudeDeg, Double elevationM) {
            return new Site(latitudeDeg, elevationM, null, null, null);
        }
    }

    /** The trunk: diameter and where it was taken, height of its top, height of the graft union, the leader's last growth. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record TrunkMeasure(
            @JsonProperty("diameter_mm") double diameterMm,
            @JsonProperty("diameterAt_cm") Double diameterAtCm,
            @JsonProperty("height_cm") double heightCm,
            @JsonProperty("unionAt_cm") Double unionAtCm,
            @JsonProperty("lastGrowth_cm") Double lastGrowthCm) {

        /** A trunk whose leader's last growth was not measured. */
        public TrunkMeasure(double diameterMm, Double diameterAtCm, double heightCm, Double unionAtCm) {
            this(diameterMm, diameterAtCm, heightCm, unionAtCm, null);
        }
    }

    /**
     * One limb.
     *
     * @param atCm distance from the parent's origin to where the limb leaves it; on the trunk, from the ground
     * @param bearingDeg compass direction it heads to
     * @param angleDeg inclination at the base, degrees from vertical up
     * @param tipAngleDeg inclination at the tip
     * @param diameterMm at the base, beyond the collar
     * @param lengthCm along the limb
     * @param ageY years; a shoot of last season is 1
     * @param lastGrowthCm length grown in the last season
     * @param error how well its measures are known; null as for a quick survey by hand
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record LimbMeasure(
            String id,
            String parent,
            String role,
            @JsonProperty("at_cm") double atCm,
            @JsonProperty("bearing_deg") double bearingDeg,
            @JsonProperty("angle_deg") double angleDeg,
            @JsonProperty("tipAngle_deg") Double tipAngleDeg,
            @JsonProperty("diameter_mm") double diameterMm,
            @JsonProperty("length_cm") double lengthCm,
            @JsonProperty("age_y") Integer ageY,
            @JsonProperty("lastGrowth_cm") Double lastGrowthCm,
            List<String> condition,
            String disease,
            String note,
            SmallWood wood,
            MeasureError error) {

        public LimbMeasure {
            condition = condition == null ? List.of() : List.copyOf(condition);
        }

        /** A limb measured by hand. */
        public LimbMeasure(
                String id,
                String parent,
                String role,
                double atCm,
                double bearingDeg,
                double angleDeg,
                Double tipAngleDeg,
                double diameterMm,
                double lengthCm,
                Integer ageY,
                Double lastGrowthCm,
                List<String> condition,
                String disease,
                String note,
                SmallWood wood) {
            this(
                    id,
                    parent,
                    role,
                    atCm,
                    bearingDeg,
                    angleDeg,
                    tipAngleDeg,
                    diameterMm,
                    lengthCm,
                    ageY,
                    lastGrowthCm,
                    condition,
                    disease,
                    note,
                    wood,
                    null);
        }

        /** The same limb under another name, on its parent of another name. */
        public LimbMeasure named(String otherId, String otherParent) {
            return with(
                    otherId,
                    otherParent,
                    atCm,
                    bearingDeg,
                    angleDeg,
                    tipAngleDeg,
                    diameterMm,
                    lengthCm,
                    ageY,
                    lastGrowthCm,
                    wood,
                    error);
        }

        /** The same limb leaving its parent elsewhere, or another way; cm and degrees. */
        public LimbMeasure placed(double at, double bearing, double angle, Double tipAngle) {
            return with(
                    id, parent, at, bearing, angle, tipAngle, diameterMm, lengthCm, ageY, lastGrowthCm, wood, error);
        }

        /** The same limb of another size and age; mm, cm, years. */
        public LimbMeasure sized(double diameter, double length, Integer age, Double lastGrowth) {
            return with(
                    id,
                    parent,
                    atCm,
                    bearingDeg,
                    angleDeg,
                    tipAngleDeg,
                    diameter,
                    length,
                    age,
                    lastGrowth,
                    wood,
                    error);
        }

        /** The same limb with other small wood on it; null where it was not counted. */
        public LimbMeasure bearing(SmallWood otherWood) {
            return with(
                    id,
                    parent,
                    atCm,
                    bearingDeg,
                    angleDeg,
                    tipAngleDeg,
                    diameterMm,
                    lengthCm,
                    ageY,
                    lastGrowthCm,
                    otherWood,
                    error);
        }

        /** The same limb, its measures known to other errors. */
        public LimbMeasure known(MeasureError otherError) {
            return with(
                    id,
                    parent,
                    atCm,
                    bearingDeg,
                    angleDeg,
                    tipAngleDeg,
                    diameterMm,
                    lengthCm,
                    ageY,
                    lastGrowthCm,
                    wood,
                    otherError);
        }

        private LimbMeasure with(
                String otherId,
                String otherParent,
                double at,
                double bearing,
                double angle,
                Double tipAngle,
                double diameter,
                double length,
                Integer age,
                Double lastGrowth,
                SmallWood otherWood,
                MeasureError otherError) {
            return new LimbMeasure(
                    otherId,
                    otherParent,
                    role,
                    at,
                    bearing,
                    angle,
                    tipAngle,
                    diameter,
                    length,
                    age,
                    lastGrowth,
                    condition,
                    disease,
                    note,
                    otherWood,
                    otherError);
        }
    }

    /**
     * How well a limb's measures are known: one sigma of each; null where it is that of a quick survey by hand.
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record MeasureError(
            @JsonProperty("at_cm") Double atCm,
            @JsonProperty("bearing_deg") Double bearingDeg,
            @JsonProperty("angle_deg") Double angleDeg,
            @JsonProperty("length_cm") Double lengthCm,
            @JsonProperty("diameter_mm") Double diameterMm) {}

    /**
     * Small wood as counted on one limb. A null part was not counted and is estimated.
     *
     * @param counted {@code own}: what stands on the limb itself; {@code all}: also what stands on its unmeasured laterals; null is
     *     {@code own}
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record SmallWood(List<ShootCount> shoots, SpurCount spurs, Integer flowerBuds, String counted) {

        public SmallWood {
            shoots = shoots == null ? null : List.copyOf(shoots);
        }

        /** What stands on the limb itself. */
        public SmallWood(List<ShootCount> shoots, SpurCount spurs, Integer flowerBuds) {
            this(shoots, spurs, flowerBuds, null);
        }

        /** Whether the counts cover all that stands on the limb. */
        public boolean coversAll() {
            return "all".equals(counted);
        }
    }

    /** One-year shoots of one class and attitude: how many, and how long on average. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ShootCount(
            @JsonProperty("class") String shootClass,
            String attitude,
            int count,
            @JsonProperty("length_cm") Double lengthCm) {}

    /** Spurs on the limb: how many, and their usual age in years. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record SpurCount(
            int count, @JsonProperty("age_y") Double ageY) {}
}
