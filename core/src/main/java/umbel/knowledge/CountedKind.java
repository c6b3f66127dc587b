package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What one kind of bush, cane or vine is like: what its canes bear at which age or density, which go first, how many stay, and
 * when. Read from {@code knowledge/counted/*.yaml}; exactly one of {@code bush}, {@code row} and {@code vine} is there. What the
 * numbers rest on is told in docs/model/counted.md.
 *
 * @param calendar windows of work by name, at a latitude; see {@link Window}
 * @param season when it wakes, blooms and ripens
 * @param hardiness what a freshly cut plant stands, and how early it blooms
 * @param phases whether a phase of the season suits its dormant cut
 * @param minutes usual work of its dormant cut, from–to: a bush, a vine, or a metre of row
 * @param look its colours in season; usual ones where it tells none
 */
@JsonIgnoreProperties("base")
public record CountedKind(
        String id,
        String name,
        Species.Names names,
        List<String> systems,
        Map<String, Window> calendar,
        Species.Season season,
        Hardiness hardiness,
        Map<String, Species.PhaseRule> phases,
        List<Double> minutes,
        Species.Look look,
        Bush bush,
        Row row,
        Vine vine) {

    /** Its colours in season. */
    @Override
    public Species.Look look() {
        return Species.Look.orUsual(look);
    }

    /** The work of its calendar that is its main cut. */
    public static final String MAIN_WORK = "dormant";

    /** Vines bear in their third leaf. */
    private static final int VINE_BEARS = 3;

    /** What is counted on a plant. */
    public enum Form {
        BUSH,
        ROW,
        VINE;

        /** The word of the open format. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What is counted on it. */
    public Form form() {
        return bush != null ? Form.BUSH : row != null ? Form.ROW : Form.VINE;
    }

    /** Leaf from which it bears a crop worth picking. */
    public int bearingLeaf() {
        return switch (form()) {
            case BUSH ->
                1
                        + (int) bush.young().cropByLeaf().stream()
                                .takeWhile(crop -> crop <= 0)
                                .count();
            case ROW -> row.isMown() ? 1 : 2;
            case VINE -> VINE_BEARS;
        };
    }

    /** A window of work, where the kind has it. */
    public Optional<Window> window(String work) {
        return Optional.ofNullable(calendar.get(work));
    }

    /**
     * What it stands.
     *
     * @param coldC cold a freshly cut plant stands, °C
     * @param bloomRank how early it blooms among all kinds; 1 is earliest
     * @param rainEnters whether rain brings disease into fresh wounds of sound plants too
     */
    public record Hardiness(@JsonProperty("cold_C") double coldC, int bloomRank, boolean rainEnters) {}

    /**
     * Days of the year between which a work is usually done, in the northern hemisphere.
     *
     * @param from month and day, as {@code 2-01}
     * @param to month and day
     * @param atDeg the latitude they hold at, degrees
     */
    public record Window(
            String from, String to, @JsonProperty("at_deg") double atDeg) {

        private static final double DAYS_A_DEGREE = 4;
        private static final double METRES_A_DEGREE = 120;
        private static final int HALF_A_YEAR_MONTHS = 6;
        /** Any year that is no leap year; only month and day are told. */
        private static final int SOME_YEAR = 2027;

        /**
         * The days at a place: later towards the poles and uphill, half a year on in the south.
         *
         * @param latitudeDeg degrees, negative in the south
         * @param elevationM metres
         */
        public Days at(double latitudeDeg, double elevationM) {
            double later = DAYS_A_DEGREE * (Math.abs(latitudeDeg) - atDeg + elevationM / METRES_A_DEGREE);
            return new Days(day(from, later, latitudeDeg < 0), day(to, later, latitudeDeg < 0));
        }

        private static MonthDay day(String written, double later, boolean south) {
            String[] parts = written.split("-");
            LocalDate day = LocalDate.of(SOME_YEAR, Integer.parseInt(parts[0]), Integer.parseInt(parts[1]))
                    .plusDays(Math.round(later));
            LocalDate there = south ? day.plusMonths(HALF_A_YEAR_MONTHS) : day;
            return MonthDay.from(there);
        }
    }

    /** From one day of the year to another; it may run over the turn of the year. */
    public record Days(MonthDay from, MonthDay to) {

        /** Whether a day lies in it, its ends included. */
        public boolean has(LocalDate date) {
            MonthDay day = MonthDay.from(date);
            boolean since = !day.isBefore(from);
            boolean until = !day.isAfter(to);
            return from.isAfter(to) ? since || until : since && until;
        }
    }

    /**
     * A bush of canes from the base. Lists by age begin with canes that grew last season; the last entry holds for all older.
     *
     * @param yieldByAge crop of a cane against a cane in its best year
     * @param leafByAge leaf of a cane, m²
     * @param survivalByAge share of canes that live through a year
     * @param marketableByAge share of the crop that is sold as good
     * @param diameterByAge usual diameter at 30 cm, mm
     * @param kgPerCane crop of a well-lit cane in its best year
     * @param newCanes new strong canes a season in full light from a bush of moderate vigour that was cut to the ground
     * @param area ground a full bush covers, m²
     * @param canes canes wanted on a full bush
     * @param oldAfter age beyond which a cane is old, years
     * @param flowerBudG fruit a flower bud gives, grams
     * @param height usual height of a full bush, cm
     */
    public record Bush(
            List<Double> yieldByAge,
            @JsonProperty("leafByAge_m2") List<Double> leafByAge,
            List<Double> survivalByAge,
            List<Double> marketableByAge,
            @JsonProperty("diameterByAge_mm") List<Double> diameterByAge,
            double kgPerCane,
            double newCanes,
            @JsonProperty("area_m2") double area,
            Range canes,
            int oldAfter,
            AgePoints points,
            Quota quota,
            Young young,
            @JsonProperty("flowerBud_g") double flowerBudG,
            @JsonProperty("height_cm") double height) {

        /** The oldest age its lists tell of. */
        public int ages() {
            return yieldByAge.size();
        }

        /** Where its lists tell of an age; the last entry holds for all older. */
        public int index(int age) {
            return Math.max(1, Math.min(ages(), age)) - 1;
        }
    }

    /** From so many to so many. */
    public record Range(double least, double most) {}

    /** How much more a cane should go for each year it is older than {@code from}. */
    public record AgePoints(int from, double perYear) {}

    /**
     * How many old canes go in a winter.
     *
     * @param share of the canes
     * @param most at most so many
     * @param leave never fewer than so many stay
     * @param weakWithin whether weak canes count among them
     * @param crowdedFrom more canes than this are a crowded bush, which may lose {@code crowdedShare} down to
     *     {@code crowdedLeave}
     */
    public record Quota(
            double share,
            int most,
            int leave,
            boolean weakWithin,
            int crowdedFrom,
            double crowdedShare,
            int crowdedLeave) {}

    /**
     * A young bush, by leaf from the first; the last entry holds for all older.
     *
     * @param crownByLeaf crop of a cane against one on a full bush
     * @param newByLeaf new canes a season, for the leaves it tells of
     * @param cropByLeaf the crop it may carry, kg
     * @param cropShare after those: in one leaf a share of what it could bear, then all
     */
    public record Young(
            List<Double> crownByLeaf,
            List<Double> newByLeaf,
            @JsonProperty("cropByLeaf_kg") List<Double> cropByLeaf,
            LeafShare cropShare) {}

    /** A share that holds up to and in one leaf. */
    public record LeafShare(int leaf, double share) {}

    /**
     * Canes in a row.
     *
     * @param density crop a metre by canes a metre
     * @param range canes wanted a metre
     * @param diameter usual diameter, mm
     * @param suckering whether canes come up along the row, and not from crowns only
     * @param newPerM new canes a metre and season, by vigour; null where they come from crowns
     * @param newPerPlant new canes a plant and season, by vigour; null where they come along the row
     * @param perPlant canes wanted a plant; null where they are counted by the metre
     * @param width of a row, cm
     * @param laterals side branches, null where the kind's are left as they are
     * @param fruitsOn {@code last-year} or {@code this-year}
     * @param doubleCrop what keeping canes for a small early crop brings; null where there is none
     * @param trellis needed, helpful or none
     */
    public record Row(
            Density density,
            @JsonProperty("range_perM") Range range,
            @JsonProperty("diameter_mm") double diameter,
            boolean suckering,
            Map<String, Double> newPerM,
            Map<String, Double> newPerPlant,
            Double perPlant,
            @JsonProperty("width_cm") double width,
            Tip tip,
            Laterals laterals,
            String fruitsOn,
            DoubleCrop doubleCrop,
            String trellis) {

        /** Whether this season's canes fruit, so that none is kept over winter. */
        public boolean isMown() {
            return fruitsOn.equals("this-year");
        }
    }

    /** Crop a metre = N / (α + βN + γN²), kg, with γ such that {@code bestPerM} canes bear most. */
    public record Density(
            double alpha,
            double beta,
            @JsonProperty("best_perM") double bestPerM) {

        /** Crop a metre of {@code perMetre} canes, kg. */
        public double crop(double perMetre) {
            return perMetre <= 0
                    ? 0
                    : perMetre / (alpha + beta * perMetre + alpha / (bestPerM * bestPerM) * perMetre * perMetre);
        }
    }

    /**
     * Where canes are cut at their tips.
     *
     * @param least lowest top, cm
     * @param share of a cane's length that stays at least
     * @param untouched canes up to this height are left, cm
     * @param aboveWire how far above the top wire they are cut; null where the wire does not matter
     * @param summer height at which new canes are pinched, cm; null where they are not
     * @param summerTrellis the same on a trellis
     */
    public record Tip(
            @JsonProperty("least_cm") double least,
            double share,
            @JsonProperty("untouched_cm") double untouched,
            @JsonProperty("aboveWire_cm") Double aboveWire,
            @JsonProperty("summer_cm") Double summer,
            @JsonProperty("summerTrellis_cm") Double summerTrellis) {}

    /**
     * Side branches: crop of a length ℓ ∝ (1 − e^(−ℓ/rise)) / (1 + (ℓ/fall)²).
     *
     * @param keep length they are cut to, cm
     * @param low side branches lower than this go, cm
     */
    public record Laterals(
            @JsonProperty("keep_cm") double keep,
            @JsonProperty("rise_cm") double rise,
            @JsonProperty("fall_cm") double fall,
            @JsonProperty("low_cm") double low) {

        /** Crop of side branches of this length against those cut to {@link #keep}. */
        public double worth(double lengthCm) {
            return raw(lengthCm) / raw(keep);
        }

        private double raw(double length) {
            return (1 - Math.exp(-length / rise)) / (1 + Math.pow(length / fall, 2));
        }
    }

    /**
     * An early crop from canes that are kept.
     *
     * @param share of the crop that a kind of row with as many canes bears
     * @param kind that kind
     * @param fall how the main crop falls with every kept cane a metre
     * @param delay days the main crop comes later for every kept cane a metre
     * @param keep canes a metre that are enough
     */
    public record DoubleCrop(
            double share,
            String kind,
            double fall,
            @JsonProperty("delay_d") double delay,
            @JsonProperty("keep_perM") double keep) {}

    /**
     * A vine.
     *
     * @param woods how nodes follow from the weight of the prunings, by kind of vine
     * @param usualWood the kind of vine where none is told
     * @param budbreak share of nodes that open where their number suits the vine
     * @param fruit what is aimed at by fruit a square metre; null where nodes follow from weight
     * @param mostPerM most nodes a metre of row, for a single and a divided canopy
     * @param mostNodes most nodes on a vine
     * @param cane what a good cane is like
     * @param density mass of a cane = density · d² (mm) · length (cm), grams
     * @param spurNodes nodes of a spur
     * @param caneNodes nodes of a cane that is laid
     */
    public record Vine(
            Map<String, Wood> woods,
            String usualWood,
            double budbreak,
            FruitAim fruit,
            Canopies mostPerM,
            double mostNodes,
            GoodCane cane,
            @JsonProperty("density_g") double density,
            int spurNodes,
            int caneNodes) {}

    /** Nodes a metre with the canopy in one plane, and in two. */
    public record Canopies(double single, double divided) {}

    /**
     * One kind of vine: nodes are {@code base} for the first 450 g of prunings and {@code perWeight} for each 450 g more, or
     * {@code nodesPerKg}.
     *
     * @param clusters clusters (of kiwifruit: fruits) on a shoot
     * @param clusterKg mass of one
     * @param ratio crop over weight of prunings
     * @param siteWeight weight of prunings a vine of this kind comes to in the long run, kg
     */
    public record Wood(
            String name,
            Double base,
            Double perWeight,
            Double nodesPerKg,
            double clusters,
            @JsonProperty("cluster_kg") double clusterKg,
            Ratio ratio,
            @JsonProperty("siteWeight_kg") double siteWeight) {}

    /** Crop over prunings: where it is best, and the most that ripens well. */
    public record Ratio(double best, double most) {}

    /** Fruit aimed at a square metre of canopy; share of shoots that flower, fruits on one, share that stays, mass of one. */
    public record FruitAim(
            double perM2,
            double flowering,
            double perShoot,
            double retained,
            @JsonProperty("fruit_kg") double fruitKg) {}

    /** A good cane: its thickness, how near the head it should start, and the length taken where none was measured. */
    public record GoodCane(
            @JsonProperty("least_mm") double least,
            @JsonProperty("most_mm") double most,
            @JsonProperty("near_cm") double near,
            @JsonProperty("farNear_cm") double farNear,
            @JsonProperty("usual_cm") double usual) {}
}
