package umbel.reading;

import java.util.List;

/** One rule of reading: looks at a tree and says what it finds. */
interface Rule {

    /** What this rule finds, strongest first; empty when nothing is wrong. */
    List<Finding> read(RuleContext context);

    /** The line of knowledge a finding was judged by, as {@code school.limbRatio}; see docs/model/reading.md. */
    String judgedBy(RuleContext context, Finding finding);
}
