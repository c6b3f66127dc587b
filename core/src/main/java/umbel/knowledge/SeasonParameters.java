package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * When to cut and when to come back.
 *
 * @param calendar what suits a day
 * @param followUp visits that follow from what was done
 */
public record SeasonParameters(Calendar calendar, FollowUp followUp) {

    /**
     * When cutting suits a day. Dates are {@code MM-dd} in the north and half a year later in the south; temperatures in °C.
     *
     * @param base degree days are counted over this daily mean
     * @param petalFallDd degree days from bloom to petal fall
     * @param softShootsDays days after petal fall in which shoots are soft
     * @param summerEnd day on which cutting in leaf stops
     * @param afterHarvestEnd day on which cutting after harvest stops
     * @param leafFall first day a tree can be dormant
     * @param dormantLatest day by which it is dormant, cold or not
     * @param firstCold minimum of the first real cold
     * @param forecastDays days ahead a forecast is believed for
     * @param wetMm rain of a wet day, mm
     * @param dryDays dry days wanted after cutting
     * @param drop fall in temperature into deep frost that stops cutting
     * @param wind no ladder in more, m/s
     * @param frost usual minimum under which an evergreen's frost is not past
     * @param youngLeaf young up to this leaf
     * @param tenderRank tender up to this bloom rank
     * @param spread how far the rest of a spring may lie from the usual
     */
    public record Calendar(
            @JsonProperty("base_C") double base,
            @JsonProperty("petalFall_dd") double petalFallDd,
            @JsonProperty("softShoots_d") int softShootsDays,
            String summerEnd,
            String afterHarvestEnd,
            String leafFall,
            String dormantLatest,
            @JsonProperty("coldWinters_deg") double coldWintersDeg,
            @JsonProperty("inLeaf_d") List<Integer> inLeafDays,
            @JsonProperty("lateDormant_d") int lateDormantDays,
            @JsonProperty("firstCold_C") double firstCold,
            @JsonProperty("forecast_d") int forecastDays,
            @JsonProperty("wet_mm") double wetMm,
            int dryDays,
            @JsonProperty("coldMargin_C") ColdMargin coldMargin,
            ColdDays coldDays,
            @JsonProperty("drop_C") double drop,
            @JsonProperty("deepFrost_C") double deepFrost,
            @JsonProperty("heat_C") double heat,
            @JsonProperty("wind_mPerS") double wind,
            @JsonProperty("frost_C") double frost,
            int youngLeaf,
            int tenderRank,
            @JsonProperty("spread_C") double spread) {}

    /** How far over its kind's limit the cold must stay from a fresh cut: in the first days, later, and more for young trees. */
    public record ColdMargin(double firstDays, double later, double young) {}

    /** How long a cut tree is least hardy and less hardy, days. */
    public record ColdDays(int first, int later) {}

    /**
     * When to come back after a visit; days.
     *
     * @param tiesAfterWind ties are looked at after more wind than this, m/s
     * @param sproutsWorthAVisit expected sprouts from which a summer visit is set
     * @param regrowthCm length from which regrowth of short-spurred wood is cut again
     */
    public record FollowUp(
            double sproutsWorthAVisit,
            @JsonProperty("rubAfterPetalFall_d") int rubAfterPetalFallDays,
            @JsonProperty("rubFor_d") int rubForDays,
            @JsonProperty("checkTiesAfter_d") int checkTiesAfterDays,
            @JsonProperty("checkTiesFor_d") int checkTiesForDays,
            @JsonProperty("tiesAfterWind_mPerS") double tiesAfterWind,
            @JsonProperty("takeOffFor_d") int takeOffForDays,
            @JsonProperty("shortSpurAgain_d") int shortSpurAgainDays,
            @JsonProperty("regrowth_cm") double regrowthCm,
            @JsonProperty("thinAfterPetalFall_d") int thinAfterPetalFallDays,
            @JsonProperty("thinFor_d") int thinForDays,
            @JsonProperty("scoutBeforeHarvest_d") int scoutBeforeHarvestDays,
            @JsonProperty("scoutFor_d") int scoutForDays,
            @JsonProperty("nextStageAfterMidwinter_d") int nextStageAfterMidwinterDays,
            @JsonProperty("nextStageFor_d") int nextStageForDays,
            @JsonProperty("clearWithin_d") int clearWithinDays) {}
}
