package umbel.counted;

import java.util.List;
import umbel.growth.Moment;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;

/** A counted plant, read once. Plans are made for a moment of its year. */
public sealed interface Counted permits Bush, CaneRow, Vine {

    /**
     * Makes a plant of what was counted.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers its kind
     * @throws umbel.survey.InvalidSurvey when the survey counts what this kind does not have
     */
    static Counted of(CountSurvey survey, Knowledge knowledge) {
        return of(survey, knowledge, CountLearned.NOTHING);
    }

    /**
     * The plant of a survey, foretold by what its place has shown; the work proposed is the same.
     *
     * @throws umbel.knowledge.NotSupported when no knowledge covers its kind
     * @throws umbel.survey.InvalidSurvey when the survey counts what this kind does not have
     */
    static Counted of(CountSurvey survey, Knowledge knowledge, CountLearned learned) {
        CountedKind kind = knowledge.counted(survey.plant().kind());
        return switch (kind.form()) {
            case BUSH -> Bush.of(survey, kind, knowledge.counting(), learned);
            case ROW -> CaneRow.of(survey, kind, knowledge, learned);
            case VINE -> Vine.of(survey, kind, knowledge.counting(), learned);
        };
    }

    /** What kind of plant it is. */
    CountedKind kind();

    /** What is seen on it as found. */
    CountReading reading();

    /** Four plans: recommended, gentler (part of it), firmer (all of it and more), and nothing. */
    default List<CountPlan> plans(Moment moment) {
        return CountPlan.NAMES.stream().map(name -> plan(name, moment)).toList();
    }

    /** One of these plans, by its name. */
    CountPlan plan(String name, Moment moment);

    /** What it is after operations, and what the next seasons bring; what means nothing on it is passed over. */
    CountOutcome after(List<CountOperation> operations);
}
