package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * What one kind of fruit tree is like: where it bears, what wood to keep, how hard it may be cut and when. Read from
 * {@code knowledge/species/*.yaml}, where each number carries its reason; units are in the names.
 *
 * @param pollination whether a tree sets alone ({@code self}), alone but more with another cultivar about ({@code helped}), with a
 *     partner that bees reach ({@code partner}) or that the wind reaches ({@code wind}); null where fruit is not what it is grown for
 * @param topwork null for kinds that do not come again from a stump, or are not grafted on one
 */
@JsonIgnoreProperties("base")
public record Species(
        String id,
        String name,
        Names names,
        String pollination,
        String kind,
        List<String> systems,
        WoodTraits wood,
        SmallWoodEstimates estimates,
        Bearing bearing,
        CropRule crop,
        SmallWoodTarget smallWood,
        Vigour vigour,
        Renewal renewal,
        Load load,
        Thinning thinning,
        Growing growing,
        Season season,
        Growth growth,
        Canopy canopy,
        Look look,
        List<String> cautions,
        Hardness hardness,
        Response response,
        Bending bending,
        DiseaseRule disease,
        Topwork topwork,
        Map<String, PhaseRule> phases) {

    /**
     * How a kind is cut to a stump and grafted anew.
     *
     * @param stumpCm height of the stump, from and to, cm
     * @param graftEveryCm girth of the stump for each graft, cm
     * @param nurse whether a limb is kept that feeds the roots until the grafts have grown
     * @param bearsAfterY seasons after the cut until the first crop
     * @param fullAfterY seasons after the cut until the full crop
     */
    public record Topwork(
            @JsonProperty("stump_cm") List<Double> stumpCm,
            @JsonProperty("graftEvery_cm") double graftEveryCm,
            boolean nurse,
            @JsonProperty("bearsAfter_y") int bearsAfterY,
            @JsonProperty("fullAfter_y") int fullAfterY) {}

    /** The training system taken where a survey names none: the first of the usual ones. */
    public String defaultSystem() {
        return systems.get(0);
    }

    /** Last extension growth wanted, each from–to in centimetres: filling its space, bearing, bearing on dwarfing stock. */
    public record Vigour(
            @JsonProperty("young_cm") List<Double> youngCm,
            @JsonProperty("bearing_cm") List<Double> bearingCm,
            @JsonProperty("dwarfing_cm") List<Double> dwarfingCm) {}

    /** Age past which spurs and (where limbs are renewed) limbs are old, years; null where limbs stay. Share renewed a year. */
    public record Renewal(
            @JsonProperty("spurAgeMost_y") double spurAgeMost,
            @JsonProperty("limbAgeMost_y") Double limbAgeMost,
            double shareAYear) {}

    /** Mass of one fruit; stiffness and breaking stress of green branch wood. */
    public record Load(
            @JsonProperty("fruitMass_g") double fruitMassG,
            @JsonProperty("modulus_GPa") double modulusGPa,
            @JsonProperty("rupture_MPa") double ruptureMPa) {}

    /** Distance between fruits when thinned by hand; 0 where fruit is not thinned. */
    public record Thinning(@JsonProperty("spacing_cm") double spacingCm) {}

    /**
     * When a tree begins to bear by rootstock class (leaf), how early it blooms (1 is earliest), the cold it stands when cut,
     * how tall its seedling grows, and days of the year (northern) its light counts; null for the usual season.
     */
    public record Growing(
            Map<String, Integer> bearingLeaf,
            int bloomRank,
            @JsonProperty("cold_C") double coldC,
            @JsonProperty("seedlingHeight_m") double seedlingHeight,
            List<Integer> lightSeason) {}

    /**
     * When it wakes, blooms and ripens.
     *
     * @param budSwellDd degree days over the parameters' base from midwinter to bud swell
     * @param leafOutDd the same to the first leaves, for kinds that bloom on the shoots of the season; null where bloom comes first
     * @param bloomDd the same to bloom
     * @param harvestAfterBloomDays from bloom to the end of harvest
     * @param evergreen whether its year goes by flush and harvest rather than by winter
     * @param summerCuts whether it may be cut in leaf at all
     * @param cutAgainDays days of growth after which it is cut again in the same season; null where it is not
     */
    public record Season(
            @JsonProperty("budSwell_dd") double budSwellDd,
            @JsonProperty("leafOut_dd") Double leafOutDd,
            @JsonProperty("bloom_dd") double bloomDd,
            @JsonProperty("harvestAfterBloom_d") int harvestAfterBloomDays,
            boolean evergreen,
            boolean summerCuts,
            @JsonProperty("cutAgain_d") Integer cutAgainDays) {}

    /** The fruit in running text. */
    public record Names(String one, String many) {}

    /** Density of fresh wood, leaf carried by shoots and spurs, sizes of the three shoot classes. */
    public record WoodTraits(
            @JsonProperty("greenDensity_kgPerM3") double greenDensity,
            @JsonProperty("leafPerShoot_m2PerM") double leafPerShootMetre,
            @JsonProperty("leafPerSpur_m2") double leafPerSpur,
            @JsonProperty("shootDiameter_mm") Map<String, Double> shootDiameterMm,
            @JsonProperty("shootLength_cm") Map<String, Double> shootLengthCm) {}

    /**
     * The leaf a tree carries for its thickness, and how the fruiting laterals that nobody measured stand on its limbs; see
     * docs/model/canopy.md.
     *
     * @param leafPerSection leaf a square centimetre of a slender trunk feeds, m²; 0 where nothing branches
     * @param halfAt trunk section at which, by heartwood and age, it feeds half of that, cm²
     * @param densityMost most leaf in a cubic metre of the room about the limbs, m²
     * @param leafPerLateralMetre leaf a metre of fruiting lateral carries with all that stands on it, m²
     * @param seasonShoot length of the coming season's shoots on laterals, metres
     * @param shootShare share of a lateral's leaf on these shoots, 0…1
     * @param rise how far these shoots turn up
     * @param shadeFactor fruiting wood in shade that a sound full canopy of this kind has, against a pome tree's
     * @param spreadCm root mean square distance of leaf from the wood that carries it
     * @param lateral how laterals stand on their limb
     */
    public record Canopy(
            @JsonProperty("leafPerTrunk_m2PerCm2") double leafPerSection,
            @JsonProperty("halfAt_cm2") double halfAt,
            @JsonProperty("densityMost_m2PerM3") double densityMost,
            @JsonProperty("leafPerLateral_m2PerM") double leafPerLateralMetre,
            @JsonProperty("seasonShoot_m") double seasonShoot,
            double shootShare,
            double rise,
            double shadeFactor,
            @JsonProperty("spread_cm") double spreadCm,
            Lateral lateral) {}

    /** How the tree is drawn; the usual where its file says nothing. */
    public Look look() {
        return Look.orUsual(look);
    }

    /**
     * Colours of its leaf in summer, its flowers and its ripe fruit, as {@code #rrggbb}; for the drawing only.
     *
     * @param blossomCm width of what opens from one flower bud
     */
    public record Look(
            String leaf,
            String blossom,
            @JsonProperty("blossom_cm") double blossomCm,
            String fruit) {

        private static final Look USUAL = new Look("#4f7a38", "#f8f0ec", 4, "#b5392c");

        static Look orUsual(Look look) {
            return look == null ? USUAL : look;
        }
    }

    /**
     * How fruiting laterals stand.
     *
     * @param reach longest lateral at a limb's origin as a share of the limb's length
     * @param most longest lateral, metres
     * @param everyCm distance between laterals on a fully clothed limb
     * @param fall how far a lateral's end falls, as a share of its length
     */
    public record Lateral(
            double reach,
            @JsonProperty("most_m") double most,
            @JsonProperty("every_cm") double everyCm,
            double fall) {}

    /** Small wood to expect on a limb where none was counted. */
    public record SmallWoodEstimates(
            double shootsPerMetre,
            double spursPerMetre,
            @JsonProperty("spurAge_y") double spurAge,
            Map<String, Double> shootMix,
            Map<String, Double> attitudeMix,
            @JsonProperty("extension_cm") double extensionCm) {}

    /** Flower buds by kind of wood, in full light. */
    public record Bearing(List<Double> flowerPerSpurByAge, double flowerPerShootMetre, double flowerPerShootTip) {

        /** Flower buds on one lit spur of {@code age} years (1 and older; the last entry holds for all older). */
        public double perSpur(double age) {
            int last = flowerPerSpurByAge.size() - 1;
            int index = (int) Math.max(0, Math.min(last, Math.round(age) - 1));
            return flowerPerSpurByAge.get(index);
        }
    }

    /** What the crop is aimed at, {@code trunk-section} or {@code shoots}; what a bud sets; the leaf that finishes one fruit. */
    public record CropRule(
            String basis,
            double fruitsPerCm2,
            double fruitsPerShoot,
            double fruitsPerFlowerBud,
            @JsonProperty("leafPerFruit_m2") double leafPerFruit) {}

    /**
     * How dense small wood may stand and which shoots are worth keeping.
     *
     * @param blindUnderPerM spurs, shoots and branches a metre of older wood under which a limb with a running end is blind and is
     *     cut in late spring, so that its buds break; 0 or null for kinds that are not cut so
     */
    public record SmallWoodTarget(
            double shootsPerMetreMost,
            Ideal ideal,
            boolean renewsOneYearWood,
            @JsonProperty("blindUnder_perM") Double blindUnderPerM) {}

    /** Length and base diameter of a good fruiting shoot, each from–to. */
    public record Ideal(
            @JsonProperty("length_cm") List<Double> lengthCm,
            @JsonProperty("diameter_mm") List<Double> diameterMm) {}

    /**
     * How a kind bears cutting.
     *
     * @param woodShare most of the small wood to take in one season
     * @param bigCuts most big cuts on a large tree
     * @param headed whether its ends may be cut into at all; where not, wood is only taken off or cut back to a branch
     * @param heightFactor how much higher than usual in its system the kind stands and is worked on
     * @param clearStemCm height up to which its stem is kept clear whatever the system says; 0 leaves it to the system
     */
    public record Hardness(
            double woodShare,
            int bigCuts,
            boolean headed,
            double heightFactor,
            @JsonProperty("clearStem_cm") double clearStemCm) {}

    /** New shoots to expect: for each heading cut, and for each cm² of wound at thinning cuts. */
    public record Response(double sproutsPerHeading, double sproutsPerWoundCm2) {}

    /** Greatest outer-fibre strain a limb takes without harm, and the thickness up to which it still bends. */
    public record Bending(
            double strainMost,
            @JsonProperty("limberDiameter_mm") double limberDiameterMm) {}

    /** How far below an infection to cut, and which diseases travel on tools. */
    public record DiseaseRule(@JsonProperty("cutBelow_cm") double cutBelowCm, List<String> transmissible) {}

    /** Whether a season's phase suits cutting: {@code not, allowed, better, best}; stricter where disease is recorded. */
    public record PhaseRule(String verdict, String reason, PhaseRule whenDiseased) {

        /** Whether only what cannot wait is cut. */
        public boolean forbids() {
            return verdict.equals("not");
        }
    }

    /**
     * Which buds of one-year wood can open next spring.
     *
     * @param share of its nodes, 0…1
     * @param acrotony how far they stand towards its tip: 0 evenly, 1 with every bud at the tip alive
     */
    public record LiveBuds(double share, double acrotony) {

        /** Share of nodes with a live bud at a place along the wood, 0 at its foot and 1 at its tip. */
        public double at(double place) {
            return share + acrotony * (1 - share) * (2 * place - 1);
        }
    }

    /**
     * How its sinks grow, for {@code umbel.growth}: masses are dry grams, each is explained in the species files and in
     * docs/model/growth.md.
     */
    public record Growth(
            @JsonProperty("extensionCost_g") double extensionCostG,
            @JsonProperty("extensionMost_m") double extensionMost,
            @JsonProperty("nodeGap_mm") double nodeGapMm,
            LiveBuds liveBuds,
            double nodeCrowding,
            @JsonProperty("least_g") Least least,
            Strength strength,
            Inhibition inhibition,
            double uprightness,
            FruitLoad load,
            double collarBuds,
            double latentSurvival,
            SpurLoss spurLoss,
            @JsonProperty("spurLife_y") double spurLife,
            @JsonProperty("thickening_cm2PerM2") double thickening,
            double rise,
            @JsonProperty("budAngle_deg") double budAngleDeg) {}

    /** What a bud must get to open, to grow long, and to wake from dormancy, grams. */
    public record Least(double bud, double shoot, double sprout) {}

    /** Sink strength of a lateral bud, a spur and a dormant bud beside a tip's 1. */
    public record Strength(double bud, double spur, double dormant) {}

    /**
     * How what grows beyond holds back: a bud's strength, its threshold for growing long, and a side branch's claim
     * (apical control); fading over a distance.
     */
    public record Inhibition(
            double strength,
            double threshold,
            @JsonProperty("reach_m") double reach,
            double control) {}

    /** Fruit dry mass a square metre of leaf at which half the flower buds form, and how sharply. */
    public record FruitLoad(@JsonProperty("half_kgPerM2") double half, double sharpness) {}

    /** Share of spurs dying in a year in full light, and how many more in the dark. */
    public record SpurLoss(double yearly, double shade) {}
}
