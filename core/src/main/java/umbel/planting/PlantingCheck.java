package umbel.planting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import umbel.field.FieldOutline;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlantingParameters;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/** Checks what was sent and fills in what was left out. */
public final class PlantingCheck extends RequestCheck {

    private static final int MOST_OPTIONS = 6;
    private static final int MOST_YEARS = 60;
    private static final int MOST_LEAF = 200;
    private static final double MOST_KG_PER_HA = 300_000;
    private static final int MOST_PARTS = 15;
    private static final int MOST_FALLOW = 5;
    private static final Set<String> STOCKS =
            Set.of("very-dwarfing", "dwarfing", "semi-dwarfing", "semi-vigorous", "seedling");
    private static final Map<String, String> VIGOURS =
            Map.of("low", "low", "light", "low", "moderate", "moderate", "high", "high", "heavy", "high");

    private final Knowledge knowledge;

    private PlantingCheck(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    /**
     * The request with its defaults.
     *
     * @throws InvalidSurvey naming each faulty field, as {@code options[0].spacing_m.inRow}
     */
    public static PlantingRequest complete(PlantingRequest sent, Knowledge knowledge) {
        PlantingCheck check = new PlantingCheck(knowledge);
        PlantingRequest whole = check.whole(sent);
        check.refuseFaulty();
        return whole;
    }

    private PlantingRequest whole(PlantingRequest sent) {
        if (sent == null) {
            throw new InvalidSurvey(List.of(FieldError.of("", "problem.options-missing")));
        }
        PlantingParameters.Usual usual = knowledge.planting().usual();
        PlantingRequest.Land site =
                sent.site() == null ? new PlantingRequest.Land(null, null, null, null, null) : sent.site();
        FieldOutline outline = outline(site);
        PlantingRequest.Land told = new PlantingRequest.Land(
                within("site.latitude_deg", site.latitudeDeg(), usual.latitudeDeg(), -66, 66),
                outline == null
                        ? within("site.area_ha", site.areaHa(), usual.areaHa(), 0.01, 10_000)
                        : outline.areaHa(),
                within("site.headland_m", site.headlandM(), usual.headlandM(), 0, 50),
                outline == null ? null : outline.rings(),
                within(
                        "site.rowBearing_deg",
                        site.rowBearingDeg(),
                        outline == null ? 0 : Units.toDegrees(outline.longestSide()),
                        -360,
                        360));
        PlantingRequest.Standing standing = standing(sent.standing());
        List<PlantingRequest.Planting> options = new ArrayList<>();
        if (sent.options() == null || sent.options().isEmpty()) {
            errors.add(FieldError.of("options", "problem.options-missing"));
        } else if (sent.options().size() > MOST_OPTIONS) {
            errors.add(new FieldError(
                    "options", Statement.of("problem.too-many-options").with("most", Value.count(MOST_OPTIONS))));
        } else {
            for (int i = 0; i < sent.options().size(); i++) {
                options.add(onLand("options[" + i + "]", i, sent.options().get(i), sent.standing(), standing));
            }
        }
        return new PlantingRequest(
                told,
                (int) within("horizon_y", whole(sent.horizonY()), usual.horizonY(), 1, MOST_YEARS),
                within("interest", sent.interest(), usual.interest(), -0.5, 1),
                within("wage_perHour", sent.wagePerHour(), usual.wagePerHour(), 0.01, 10_000),
                sent.currency() == null ? "" : sent.currency(),
                standing,
                options,
                sent.seed() == null ? usual.seed() : sent.seed());
    }

    /** The field's outline; null where none was sent, or none that can be. */
    private FieldOutline outline(PlantingRequest.Land site) {
        if (site.outline() == null) {
            return null;
        }
        Optional<Statement> fault = FieldOutline.fault(site.outline());
        fault.ifPresent(wrong -> errors.add(new FieldError("site.outline_m", wrong)));
        return fault.isPresent() ? null : FieldOutline.of(site.outline());
    }

    /** The standing block with what was left out; null where there is none, or none that can be. */
    private PlantingRequest.Standing standing(PlantingRequest.Standing sent) {
        if (sent == null) {
            return null;
        }
        if (sent.leaf() == null) {
            errors.add(FieldError.of("standing.leaf", "problem.missing"));
        }
        int leaf = (int) within("standing.leaf", whole(sent.leaf()), 1, 1, MOST_LEAF);
        PlantingRequest.Planting trees = option("standing.trees", 0, sent.trees());
        Double kgPerHa = sent.kgPerHa() == null
                ? null
                : Double.valueOf(within("standing.kg_perHa", sent.kgPerHa(), 0, 0, MOST_KG_PER_HA));
        return trees == null ? null : new PlantingRequest.Standing(leaf, trees, kgPerHa);
    }

    /** The trees of a standing block going on as they are, beside an option that calculates with other figures for them. */
    static PlantingRequest.Planting keeping(PlantingRequest.Standing standing, PlantingRequest.Planting option) {
        Map<String, Double> costs = new TreeMap<>(standing.trees().costs());
        option.costs().forEach((name, value) -> {
            if (name.startsWith("standing")) {
                costs.put(name, value);
            }
        });
        return ofStanding(
                standing, option, new PlantingRequest.OnStanding(Act.KEEP.code(), null, null), standing.trees(), costs);
    }

    /** An option on bare land, or one that does something with the trees that stand. */
    private PlantingRequest.Planting onLand(
            String at,
            int number,
            PlantingRequest.Planting sent,
            PlantingRequest.Standing sentStanding,
            PlantingRequest.Standing standing) {
        if (sent == null || sent.onStanding() == null) {
            return option(at, number, sent);
        }
        String code = sent.onStanding().act();
        if (code == null || !Act.onStanding().contains(code)) {
            errors.add(FieldError.oneOf(at + ".onStanding.act", Act.onStanding()));
            return null;
        }
        if (standing == null) {
            if (sentStanding == null) {
                errors.add(FieldError.of("standing", "problem.no-standing-trees"));
            }
            return null;
        }
        if (Act.of(code) == Act.REPLANT) {
            PlantingRequest.Planting option = option(at, number, sent);
            return option == null ? null : replanting(at, sent.onStanding(), option);
        }
        return onStandingTrees(at, number, sent, standing, Act.of(code));
    }

    private PlantingRequest.Planting replanting(
            String at, PlantingRequest.OnStanding sent, PlantingRequest.Planting option) {
        return with(
                option,
                new PlantingRequest.OnStanding(
                        sent.act(),
                        (int) within(at + ".onStanding.over_y", whole(sent.overY()), 1, 1, MOST_PARTS),
                        (int) within(at + ".onStanding.fallow_y", whole(sent.fallowY()), 0, 0, MOST_FALLOW)));
    }

    /** An option with the standing trees; its price, trend and figures where it tells them, theirs where it does not. */
    private PlantingRequest.Planting onStandingTrees(
            String at, int number, PlantingRequest.Planting sent, PlantingRequest.Standing standing, Act act) {
        PlantingRequest.Planting trees = standing.trees();
        if (act == Act.TOPWORK && knowledge.species(trees.species()).topwork() == null) {
            errors.add(FieldError.of(at + ".onStanding.act", "problem.not-topworked"));
            return null;
        }
        figures(at, sent.costs());
        Map<String, Double> costs = new TreeMap<>(trees.costs());
        costs.putAll(told(sent.costs()));
        PlantingRequest.Planting priced = new PlantingRequest.Planting(
                sent.name() == null ? letter(number) : sent.name(),
                null,
                null,
                null,
                null,
                null,
                within(at + ".price_perKg", sent.pricePerKg(), trees.pricePerKg(), 0.001, 100_000),
                within(at + ".priceTrend", sent.priceTrend(), trees.priceTrend(), -0.5, 0.5),
                null,
                null,
                null);
        return ofStanding(standing, priced, new PlantingRequest.OnStanding(act.code(), null, null), priced, costs);
    }

    /** The standing trees under an option's name, with the price and trend of one of the two. */
    private static PlantingRequest.Planting ofStanding(
            PlantingRequest.Standing standing,
            PlantingRequest.Planting named,
            PlantingRequest.OnStanding act,
            PlantingRequest.Planting priced,
            Map<String, Double> costs) {
        PlantingRequest.Planting trees = standing.trees();
        return new PlantingRequest.Planting(
                named.name(),
                trees.species(),
                trees.system(),
                trees.rootstockClass(),
                trees.vigour(),
                trees.spacing(),
                priced.pricePerKg(),
                priced.priceTrend(),
                null,
                act,
                costs);
    }

    private static PlantingRequest.Planting with(PlantingRequest.Planting one, PlantingRequest.OnStanding act) {
        return new PlantingRequest.Planting(
                one.name(),
                one.species(),
                one.system(),
                one.rootstockClass(),
                one.vigour(),
                one.spacing(),
                one.pricePerKg(),
                one.priceTrend(),
                one.cultivarLifeY(),
                act,
                one.costs());
    }

    private static String letter(int number) {
        return String.valueOf((char) ('A' + number));
    }

    private PlantingRequest.Planting option(String at, int number, PlantingRequest.Planting sent) {
        if (sent == null) {
            errors.add(FieldError.of(at, "problem.missing"));
            return null;
        }
        boolean species = known(
                at + ".species",
                sent.species(),
                knowledge.allSpecies().stream().map(one -> one.id()).toList());
        boolean system = known(
                at + ".system",
                sent.system(),
                knowledge.allSystems().stream().map(one -> one.id()).toList());
        if (!species || !system) {
            return null;
        }
        var usual = knowledge.system(sent.system());
        String stock = sent.rootstockClass() == null
                ? usual.stocks().get(usual.stocks().size() / 2)
                : sent.rootstockClass();
        if (!STOCKS.contains(stock)) {
            errors.add(new FieldError(
                    at + ".rootstockClass",
                    Statement.of("problem.one-of")
                            .with(
                                    "values",
                                    Value.name("very-dwarfing, dwarfing, semi-dwarfing, semi-vigorous, seedling"))));
        }
        String vigour = sent.vigour() == null ? "moderate" : sent.vigour();
        if (!VIGOURS.containsKey(vigour)) {
            errors.add(new FieldError(
                    at + ".vigour", Statement.of("problem.one-of").with("values", Value.name("low, moderate, high"))));
        }
        PlantingRequest.Distances spacing =
                sent.spacing() == null ? new PlantingRequest.Distances(null, null) : sent.spacing();
        if (sent.pricePerKg() == null) {
            errors.add(FieldError.of(at + ".price_perKg", "problem.price-missing"));
        }
        figures(at, sent.costs());
        return new PlantingRequest.Planting(
                sent.name() == null ? letter(number) : sent.name(),
                sent.species(),
                sent.system(),
                stock,
                VIGOURS.getOrDefault(vigour, "moderate"),
                new PlantingRequest.Distances(
                        within(
                                at + ".spacing_m.inRow",
                                spacing.inRow(),
                                usual.spacing().inRow(),
                                0.2,
                                30),
                        within(
                                at + ".spacing_m.betweenRows",
                                spacing.betweenRows(),
                                usual.spacing().betweenRows(),
                                0.5,
                                40)),
                within(at + ".price_perKg", sent.pricePerKg(), 1, 0.001, 100_000),
                within(at + ".priceTrend", sent.priceTrend(), 0, -0.5, 0.5),
                sent.cultivarLifeY() == null
                        ? null
                        : Integer.valueOf((int) within(at + ".cultivarLife_y", whole(sent.cultivarLifeY()), 1, 3, 200)),
                null,
                told(sent.costs()));
    }

    private void figures(String at, Map<String, Double> costs) {
        if (costs == null) {
            return;
        }
        costs.forEach((name, value) -> {
            if (!Assumptions.names().contains(name)) {
                errors.add(FieldError.of(at + ".costs." + name, "problem.no-such-assumption"));
            } else {
                within(at + ".costs." + name, value, 0, 0, 1e7);
            }
        });
    }

    /** The assumptions that were set; one without a value takes the usual. */
    private static Map<String, Double> told(Map<String, Double> costs) {
        Map<String, Double> told = new TreeMap<>();
        if (costs != null) {
            costs.forEach((name, value) -> {
                if (value != null) {
                    told.put(name, value);
                }
            });
        }
        return told;
    }
}
