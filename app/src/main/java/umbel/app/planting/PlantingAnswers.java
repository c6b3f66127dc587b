package umbel.app.planting;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/** What a comparison of plantings tells; money and hours are a hectare. */
final class PlantingAnswers {

    private PlantingAnswers() {}

    /**
     * All options, in the order they were sent.
     *
     * @param gaps between the first and the last picking of all options
     */
    public record PlantingsCompared(
            String currency,
            @JsonProperty("horizon_y") int horizonY,
            double interest,
            @JsonProperty("wage_perHour") double wagePerHour,
            List<PlantingOption> options,
            List<PickingGap> gaps) {}

    /** Days on which none of the options is picked between two of them, as {@code --09-12}. */
    public record PickingGap(String from, String to) {}

    /** When it blooms and is picked, as {@code --04-28}; at a place of middling climate. */
    public record PlantingTimes(String bloom, String pickedFrom, String pickedTo) {}

    /**
     * One option.
     *
     * @param irr null where there is none, more than one, or money comes in first; all are in {@code irrRoots}
     * @param paybackYear null where it is not paid back
     * @param breakEvenPrice null where it bears nothing
     * @param hoursByMonth of a full year, January first
     * @param times null for evergreens, which go by flush and rain and not by spring
     * @param pollination what it needs to set fruit; empty where it is not grown for fruit
     * @param toWin what it would need to overtake the best; none for the best
     * @param assumed every figure it was calculated with that the request may set
     */
    public record PlantingOption(
            String name,
            double treesPerHa,
            PlantingFit boxFit,
            PlantingCapital capital,
            List<PlantingYear> years,
            double npv,
            Double irr,
            List<Double> irrRoots,
            Integer paybackYear,
            @JsonProperty("breakEvenPrice_perKg") Double breakEvenPrice,
            List<Double> hoursByMonth,
            PlantingTimes times,
            String pollination,
            List<PlantingRisk> risks,
            PlantingRanges ranges,
            List<PlantingMoved> sensitivity,
            List<PlantingToWin> toWin,
            List<PlantingAssumed> assumed) {}

    /** Whether a full tree fills its place. */
    public record PlantingFit(boolean fills, String verdict, String why) {}

    /** What is laid out at planting. */
    public record PlantingCapital(
            double trees, double support, double irrigation, double land, double planting, double total) {}

    /** One year; year 0 is planting. */
    public record PlantingYear(
            int year,
            double interception,
            @JsonProperty("yield_kgPerHa") double yieldKg,
            double firstClass,
            double revenue,
            PlantingCosts costs,
            PlantingHours hours,
            double net,
            double cumulative) {}

    /** Costs of a year. */
    public record PlantingCosts(double training, double pruning, double thinning, double picking, double other) {}

    /** Hours of a year. */
    public record PlantingHours(double ground, double ladder, double platform) {}

    /** A risk, by its code and in words. */
    public record PlantingRisk(String code, String text) {}

    /** Simulated present values: 10, 50 and 90 % lie under these. */
    public record PlantingRanges(double p10, double p50, double p90) {}

    /** One thing moved at a time. */
    public record PlantingMoved(String what, double low, double high, double npvLow, double npvHigh) {}

    /** What one thing would have to be. */
    public record PlantingToWin(String what, double value, String unit) {}

    /** An option's row in its years. */
    public record PlantingRow(String name, List<PlantingRowInYear> years) {}

    /** The row in one year, drawn; how high its tree stands. */
    public record PlantingRowInYear(int year, double topM, String drawing) {}

    /** A figure, and whether it is {@code ours} or {@code yours}. */
    public record PlantingAssumed(String name, double value, String unit, String from) {}
}
