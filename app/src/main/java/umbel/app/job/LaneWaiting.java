package umbel.app.job;

/** A lane of a farm in which trees wait. */
record LaneWaiting(Long farm, Integer lane) {}
