package umbel.survey;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.Knowledge;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Small trees made by hand for tests, so that every number in them is known. */
public final class Surveys {

    private String species = "apple";
    private String system = "central-leader";
    private Integer leaf = 8;
    private double trunkMm = 100;
    private Double trunkAtCm = 30.0;
    private double heightCm = 350;
    private Double unionCm = 10.0;
    private Survey.Spacing spacing = new Survey.Spacing(4, 5);
    private Double latitude = 47.0;
    private String stock = "semi-dwarfing";
    private String label = "test";
    private Double slope;
    private Double uphill;
    private Double net;
    private Survey.Cultivar cultivar = new Survey.Cultivar("", "standard", "moderate", "moderate");
    private final List<Survey.LimbMeasure> limbs = new ArrayList<>();

    public static Surveys apple() {
        return new Surveys();
    }

    public static Surveys peach() {
        Surveys peach = new Surveys();
        peach.species = "peach";
        peach.system = "open-centre";
        peach.heightCm = 75;
        return peach;
    }

    public Surveys as(String newSystem) {
        system = newSystem;
        return this;
    }

    public Surveys leaf(Integer newLeaf) {
        leaf = newLeaf;
        return this;
    }

    public Surveys trunk(double diameterMm, double newHeightCm) {
        trunkMm = diameterMm;
        heightCm = newHeightCm;
        return this;
    }

    public Surveys union(Double cm) {
        unionCm = cm;
        return this;
    }

    public Surveys spacing(double inRow, double betweenRows) {
        spacing = new Survey.Spacing(inRow, betweenRows);
        return this;
    }

    public Surveys labelled(String words) {
        label = words;
        return this;
    }

    /** Rootstock class. */
    public Surveys stock(String vigourClass) {
        stock = vigourClass;
        return this;
    }

    /** The last limb added, with its last year's growth measured. */
    public Surveys lastGrowth(double cm) {
        Survey.LimbMeasure last = limbs.remove(limbs.size() - 1);
        limbs.add(new Survey.LimbMeasure(
                last.id(),
                last.parent(),
                last.role(),
                last.atCm(),
                last.bearingDeg(),
                last.angleDeg(),
                last.tipAngleDeg(),
                last.diameterMm(),
                last.lengthCm(),
                last.ageY(),
                cm,
                last.condition(),
                last.disease(),
                last.note(),
                last.wood()));
        return this;
    }

    /** On sloping ground. */
    public Surveys slope(double degrees, double uphillDeg) {
        slope = degrees;
        uphill = uphillDeg;
        return this;
    }

    /** Under a net that keeps out this share of the light. */
    public Surveys net(double share) {
        net = share;
        return this;
    }

    public Surveys kind(String newSpecies) {
        species = newSpecies;
        return this;
    }

    public Surveys at(Double newLatitude) {
        latitude = newLatitude;
        return this;
    }

    /** A cultivar that sets lightly, moderately or heavily. */
    public Surveys setting(String set) {
        cultivar = new Survey.Cultivar("", "standard", set, "moderate");
        return this;
    }

    public Surveys habit(String habit) {
        cultivar = new Survey.Cultivar("", habit, "moderate", "moderate");
        return this;
    }

    /** A sound scaffold on the trunk, eight years old, with no small wood. */
    public Surveys scaffold(String id, double at, double bearing, double angle, double diameter, double length) {
        return limb(id, "trunk", "scaffold", at, bearing, angle, diameter, length, 8, bare());
    }

    public Surveys limb(
            String id,
            String parent,
            String role,
            double at,
            double bearing,
            double angle,
            double diameter,
            double length,
            Integer age,
            Survey.SmallWood wood) {
        limbs.add(new Survey.LimbMeasure(
                id,
                parent,
                role,
                at,
                bearing,
                angle,
                angle,
                diameter,
                length,
                age,
                null,
                List.of("sound"),
                null,
                null,
                wood));
        return this;
    }

    /** The last limb added, noted in this condition. */
    public Surveys noted(String condition, String disease) {
        Survey.LimbMeasure last = limbs.remove(limbs.size() - 1);
        limbs.add(new Survey.LimbMeasure(
                last.id(),
                last.parent(),
                last.role(),
                last.atCm(),
                last.bearingDeg(),
                last.angleDeg(),
                last.tipAngleDeg(),
                last.diameterMm(),
                last.lengthCm(),
                last.ageY(),
                last.lastGrowthCm(),
                List.of(condition),
                disease,
                null,
                last.wood()));
        return this;
    }

    /** No small wood at all. */
    public static Survey.SmallWood bare() {
        return new Survey.SmallWood(List.of(), new Survey.SpurCount(0, 1.0), null);
    }

    /** Spurs only. */
    public static Survey.SmallWood spurs(int count, double age) {
        return new Survey.SmallWood(List.of(), new Survey.SpurCount(count, age), null);
    }

    /** One group of shoots only. */
    public static Survey.SmallWood shoots(String shootClass, String attitude, int count, double lengthCm) {
        return new Survey.SmallWood(
                List.of(new Survey.ShootCount(shootClass, attitude, count, lengthCm)),
                new Survey.SpurCount(0, 1.0),
                null);
    }

    public Survey survey() {
        return new Survey(
                Survey.FORMAT,
                new Survey.TreeFacts(
                        label, species, leaf, system, cultivar, new Survey.Rootstock("", stock), spacing, 0.0),
                latitude == null ? null : new Survey.Site(latitude, 400.0, slope, uphill, net),
                LocalDate.of(2027, 2, 2),
                new Survey.TrunkMeasure(trunkMm, trunkAtCm, heightCm, unionCm),
                limbs);
    }

    public Tree tree() {
        return TreeBuilder.build(survey(), Knowledge.shipped(), 1);
    }
}
