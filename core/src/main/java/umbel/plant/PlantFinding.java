package umbel.plant;

import umbel.reading.Severity;
import umbel.text.Statement;

/**
 * One thing that is wrong with a plant, whatever kind of plant it is.
 *
 * @param rule its id in the open format
 * @param reason what a grower would say
 */
public record PlantFinding(String rule, Severity severity, Statement reason) {}
