package umbel.app.measure;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PastOrPresent;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;

/** What is sent and answered about measurements on a tree. */
final class TreeMeasureAnswers {

    private TreeMeasureAnswers() {}

    /**
     * A measurement as sent.
     *
     * @param amount kilograms of prunings, or share of sky, 0…1
     * @param note empty or null without one
     */
    record MeasureSent(
            @NotNull MeasureKind kind,
            @NotNull @PastOrPresent LocalDate measuredOn,
            @NotNull @PositiveOrZero Double amount,
            @Size(max = 500) String note) {}

    /**
     * What was expected of a measurement.
     *
     * @param right whether what was measured lies between {@code low} and {@code high}
     */
    record Expected(double low, double middle, double high, boolean right) {}

    /**
     * A measurement as kept.
     *
     * @param expected null where nothing could be expected: no survey, or no visit whose prunings they are
     */
    record MeasureLine(
            long id, MeasureKind kind, LocalDate measuredOn, double amount, Expected expected, String note) {}

    /**
     * What was picked of a tree in a season.
     *
     * @param surveyedOn the survey before that season
     */
    record SeasonsCrop(LocalDate surveyedOn, double kg, Expected expected) {}

    /**
     * A tree's measurements, newest first, and what it bore in each season that a survey foretells.
     */
    record MeasuresOfTree(List<MeasureLine> measures, List<SeasonsCrop> crops) {}

    /** The share of sky in a photograph, 0…1. */
    record SkyShare(double share) {}
}
