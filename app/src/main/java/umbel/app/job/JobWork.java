package umbel.app.job;

import umbel.app.survey.SurveyEntry;

/** What is done with every tree of a job of some kind. */
public interface JobWork {

    /** The kind of job. */
    String kind();

    /** Does it for one tree, outside of any transaction; it changes nothing. */
    Outcome of(SurveyEntry survey);

    /**
     * What came of a tree.
     *
     * @param result kept with the job; null where nothing is
     * @param keep writes what is kept elsewhere, within the transaction that marks the tree as done: both happen, once, or neither
     */
    record Outcome(String result, Runnable keep) {}
}
