package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * Crop and new canes of a row season by season: crop by canes a metre, their tips, thickness and side branches; new canes by
 * vigour, width and shade. See docs/model/counted.md.
 */
final class RowSeasons {

    private final CountedKind.Row kind;
    private final CountedKind.Density early;
    private final CountingParameters.Row numbers;
    private final double newAMetre;
    private final double length;

    /**
     * A row at the beginning of a season.
     *
     * @param strong sound canes, a metre
     * @param weak canes, a metre
     * @param standing fruited canes that still stand, a metre
     * @param tip share of their length that is left on canes, 0…1
     * @param diameter of canes, mm; 0 for the usual
     * @param lateralCm length of side branches; 0 where they do not matter
     * @param sick share of canes that are sick
     * @param widthCm of the row
     */
    record Stand(
            double strong,
            double weak,
            double standing,
            double tip,
            double diameter,
            double lateralCm,
            double sick,
            double widthCm) {}

    /**
     * @param early crop a metre of the kind that an early crop goes by; null where there is none
     * @param newAMetre new canes a metre and season in a row of the usual width and full light
     */
    RowSeasons(
            CountedKind.Row kind,
            CountedKind.Density early,
            CountingParameters.Row numbers,
            double newAMetre,
            double length) {
        this.kind = kind;
        this.early = early;
        this.numbers = numbers;
        this.newAMetre = newAMetre;
        this.length = length;
    }

    /** The seasons after a winter's work; later winters thin to {@code wanted} a metre, or not at all where it is infinite. */
    List<CountPlan.Season> seasons(Stand first, double wanted, int count) {
        List<CountPlan.Season> seasons = new ArrayList<>();
        Stand stand = first;
        for (int i = 0; i < count; i++) {
            double fresh = newCanes(stand);
            if (kind.isMown()) {
                seasons.add(mown(stand, Math.min(wanted, numbers.usable() * fresh)));
            } else {
                double crop = crop(stand) * length;
                seasons.add(new CountPlan.Season(crop, crop, fresh * length, 0));
            }
            stand = next(stand, fresh, wanted);
        }
        return seasons;
    }

    /** Crop a metre of canes that fruit in their second season, kg. */
    double crop(Stand stand) {
        double bearing = stand.strong() + numbers.weakWorth() * stand.weak();
        double size = stand.diameter() == 0 ? 1 : numbers.size().at(stand.diameter() / kind.diameter());
        double side = kind.laterals() == null || stand.lateralCm() == 0
                ? 1
                : kind.laterals().worth(stand.lateralCm());
        return kind.density().crop(bearing)
                * tipWorth(1 - stand.tip())
                * size
                * side
                * (1 - stand.sick() * (1 - numbers.sick()));
    }

    /** Share of a cane's crop that is left when this share of its length is taken off the top. */
    double tipWorth(double taken) {
        double left = 1 - taken;
        double lost = 1 - 3 * left * left + 2 * left * left * left;
        return 1 - lost * (1 - numbers.compensation() * left);
    }

    /** New canes a metre and season. */
    double newCanes(Stand stand) {
        double width = stand.widthCm() == 0 ? kind.width() : stand.widthCm();
        double wide = kind.suckering() ? Math.min(numbers.widest(), width / kind.width()) : 1;
        double bearing = kind.isMown() ? 0 : stand.strong() + stand.weak() + stand.standing();
        return newAMetre * wide * Math.exp(-(kind.suckering() ? numbers.shading() : 0) * bearing);
    }

    private CountPlan.Season mown(Stand stand, double autumnCanes) {
        double kept = stand.strong() + stand.weak();
        CountedKind.DoubleCrop both = kind.doubleCrop();
        boolean bothCrops = both != null && early != null && kept > 0;
        double summer = bothCrops ? both.share() * early.crop(kept) : 0;
        double autumn = kind.density().crop(autumnCanes) * (bothCrops ? Math.exp(-both.fall() * kept) : 1);
        double crop = (summer + autumn) * length;
        return new CountPlan.Season(crop, crop, autumnCanes * length, bothCrops ? both.delay() * kept : 0);
    }

    private Stand next(Stand stand, double fresh, double wanted) {
        boolean pruned = !Double.isInfinite(wanted);
        if (kind.isMown()) {
            double kept = pruned ? stand.strong() : fresh;
            return new Stand(kept, 0, 0, 1, 0, 0, 0, stand.widthCm());
        }
        double strong = pruned ? Math.min(wanted, numbers.usable() * fresh) : numbers.usable() * fresh;
        double weak = pruned ? 0 : (1 - numbers.usable()) * fresh;
        double standing =
                pruned ? 0 : stand.strong() + stand.weak() + numbers.left().standing() * stand.standing();
        double sick = pruned
                ? 0
                : Math.min(
                        numbers.left().sickMost(), stand.sick() + numbers.left().sickAYear());
        return new Stand(
                strong, weak, standing, stand.tip(), stand.diameter(), stand.lateralCm(), sick, stand.widthCm());
    }
}
