package umbel.app.plan;

/** What is decided on a tree, as it is kept, and the survey it goes by. */
public record DecidedLine(Long treeId, Long surveyId, String document) {}
