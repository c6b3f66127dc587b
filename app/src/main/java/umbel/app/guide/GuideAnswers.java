package umbel.app.guide;

import java.util.List;
import java.util.Map;
import umbel.knowledge.RuleKnowledge;

/** What the guide tells, in the reader's language and units. */
final class GuideAnswers {

    private GuideAnswers() {}

    /** A season's phase for a kind of tree. */
    public record PhaseLine(String phase, String verdict, String reason) {}

    /**
     * A kind of tree as it is read.
     *
     * @param facts what is to be known of it when it is cut, a sentence each
     */
    public record SpeciesPage(
            String id,
            String name,
            String kind,
            List<String> systems,
            List<String> facts,
            List<PhaseLine> phases,
            List<String> cautions) {}

    /** What is done in one leaf. */
    public record YearLine(int leaf, String what) {}

    /** A training system as it is read. */
    public record SystemPage(
            String id,
            String name,
            String form,
            double heightM,
            double spreadM,
            double depthM,
            int fullAtLeaf,
            double inRowM,
            double betweenRowsM,
            List<String> stocks,
            String support,
            List<Double> minutesATree,
            String cost,
            List<YearLine> steps,
            String mature,
            String strengths,
            String risks) {}

    /** A school and its lines by name; yes and no as 1 and 0. */
    public record SchoolPage(String id, String name, String why, Map<String, Double> lines, List<String> switches) {}

    /**
     * A rule of reading as it is told.
     *
     * @param stage where it comes in the order of the work
     * @param leaving what comes of leaving it; empty where no cut answers it
     */
    public record RulePage(
            String id,
            String name,
            String stage,
            String leaving,
            String sees,
            String why,
            String does,
            RuleKnowledge.Figure figure) {}

    /**
     * A kind of bush, cane or vine as it is read.
     *
     * @param form bush, row or vine, in words
     * @param facts how many canes or nodes stay, and how they are cut, a sentence each
     * @param calendar the works of its year
     * @param drawing one that is well kept, as SVG
     */
    public record CountedPage(
            String id,
            String name,
            String form,
            List<String> facts,
            List<String> calendar,
            List<PhaseLine> phases,
            String drawing) {}

    /** A finding on counted plants. */
    public record CountedRulePage(String id, String name, String why) {}

    /**
     * How one piece of work is done.
     *
     * @param group cut, renovation, summer, tool, wound or safety
     * @param operations words of the open format that it explains
     * @param goes how it goes wrong
     * @param figures the right way and then the usual mistake, as far as they are drawn
     */
    public record CutPage(
            String id,
            String group,
            List<String> operations,
            String name,
            String does,
            String why,
            String goes,
            List<RuleKnowledge.Figure> figures) {}

    /**
     * A question on which practitioners differ.
     *
     * @param line the school's line that settles it; null where kind, system or goals do
     * @param kinds the kinds of trees it is asked of; empty for all
     * @param sides its answers, with the line's value; yes and no as 1 and 0
     * @param usual what the program does where nobody says otherwise, and why
     */
    public record QuestionPage(
            String id, String asks, String line, List<String> kinds, List<SideLine> sides, String usual) {}

    /** One answer to a question. */
    public record SideLine(Double value, String name, String why) {}

    /**
     * A word of the trade.
     *
     * @param other what it is called in the other language
     * @param drawn whether the drawing of the parts points to it
     */
    public record TermLine(String id, String group, String name, String other, String means, boolean drawn) {}

    /** A system's tree in one leaf, drawn as SVG. */
    public record LeafDrawn(int leaf, double topM, String drawing) {}

    /**
     * All of it but the rules.
     *
     * @param parts a tree with its parts named, as SVG
     */
    public record Guide(
            List<CutPage> cuts,
            List<SpeciesPage> species,
            List<CountedPage> counted,
            List<CountedRulePage> countedRules,
            List<SystemPage> systems,
            List<SchoolPage> schools,
            List<QuestionPage> questions,
            String parts,
            List<TermLine> terms) {}
}
