package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * Numbers that depend on neither species, system nor school, by the part of the model they belong to; from
 * {@code knowledge/parameters.yaml}, where each has its unit, reason and kind of source.
 *
 * @param reach height that a person on the ground reaches with a hand tool, metres
 * @param labour minutes of work
 */
public record Parameters(
        @JsonProperty("reach_m") double reach,
        SurveyParameters survey,
        CultivarParameters cultivar,
        CutParameters cutting,
        LabourParameters labour,
        LightParameters light,
        CanopyParameters canopy,
        CropParameters crop,
        CropCountParameters cropCount,
        ReadingParameters reading,
        TrainingParameters training,
        FirstYearsParameters firstYears,
        SeasonParameters season,
        LearningParameters learning,
        GrowthParameters growth,
        TopworkParameters topwork,
        AftercareParameters aftercare) {}
