package umbel.app.guide;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.reader.Reader;
import umbel.assess.CountAssessment;
import umbel.assess.CountedAssessor;
import umbel.counted.CountRule;
import umbel.counted.WellKept;
import umbel.drawing.CountedSvg;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CutCard;
import umbel.knowledge.Knowledge;
import umbel.knowledge.RuleKnowledge;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.knowledge.SchoolQuestion;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.reading.Rule;
import umbel.reading.Rules;
import umbel.text.Speech;

/** What the program knows, for reading: kinds of tree, systems, schools side by side. */
@RestController
@RequestMapping("/api/guide")
class GuideController {

    private static final List<String> PHASES =
            List.of("dormant", "delayed-dormant", "bloom", "early-summer", "summer", "after-harvest");

    private final Knowledge knowledge;
    private final CountedAssessor counted;

    GuideController(Knowledge knowledge, CountedAssessor counted) {
        this.knowledge = knowledge;
        this.counted = counted;
    }

    /** A season's phase for a kind of tree. */
    public record PhaseLine(String phase, String verdict, String reason) {}

    /** A kind of tree as it is read. */
    public record SpeciesPage(
            String id,
            String name,
            String kind,
            List<String> systems,
            List<Double> idealLengthCm,
            List<Double> idealDiameterMm,
            double spurAgeMostY,
            double shareAYear,
            double woodShare,
            int bigCuts,
            String cropBasis,
            double fruitsPerCm2,
            double thinningCm,
            List<Double> youngGrowthCm,
            List<Double> bearingGrowthCm,
            double coldC,
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
     * @param group cut, tool, wound or safety
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

    /** All of it but the rules. */
    public record Guide(
            List<CutPage> cuts,
            List<SpeciesPage> species,
            List<CountedPage> counted,
            List<CountedRulePage> countedRules,
            List<SystemPage> systems,
            List<SchoolPage> schools,
            List<QuestionPage> questions) {}

    /** What the program knows. */
    @GetMapping
    Guide guide() {
        return new Guide(
                knowledge.cutCards().stream().map(GuideController::page).toList(),
                knowledge.allSpecies().stream().map(GuideController::page).toList(),
                knowledge.allCounted().stream().map(this::page).toList(),
                Arrays.stream(CountRule.values())
                        .map(rule -> new CountedRulePage(
                                rule.id(), speaking().name(rule), speaking().why(rule)))
                        .toList(),
                knowledge.allSystems().stream().map(GuideController::page).toList(),
                knowledge.allSchools().stream().map(GuideController::page).toList(),
                knowledge.schoolQuestions().stream().map(GuideController::page).toList());
    }

    /** Every rule of reading, in the order in which they are read. */
    @GetMapping("/rules")
    List<RulePage> rules() {
        return Rules.all().stream().map(this::page).toList();
    }

    private static String said(String known) {
        return Reader.speech().knowledge(known);
    }

    /** A name as it stands in a list or over a page. */
    private static String titled(String known) {
        return Speech.capital(said(known));
    }

    private static QuestionPage page(SchoolQuestion question) {
        return new QuestionPage(
                question.id(),
                said(question.asks()),
                question.line(),
                question.kinds(),
                question.sides().stream()
                        .map(side -> new SideLine(side.value(), said(side.name()), said(side.why())))
                        .toList(),
                said(question.usual()));
    }

    private static CutPage page(CutCard card) {
        return new CutPage(
                card.id(),
                card.group(),
                card.operations(),
                said(card.name()),
                said(card.does()),
                said(card.why()),
                said(card.goes()),
                Stream.of(card.figure(), card.wrong()).filter(Objects::nonNull).toList());
    }

    private RulePage page(Rule rule) {
        RuleKnowledge told = knowledge.plan().rules().get(rule.id());
        return new RulePage(
                rule.id(),
                said(told.name()),
                rule.stage().name().toLowerCase(Locale.ROOT),
                told.leaving() == null ? "" : said(told.leaving()),
                said(told.sees()),
                said(told.why()),
                said(told.does()),
                told.figure());
    }

    private CountedAssessor speaking() {
        return counted.in(Reader.speech());
    }

    private CountedPage page(CountedKind kind) {
        return new CountedPage(
                kind.id(),
                titled(kind.name()),
                Reader.speech().say(CountedAssessor.formOf(kind)),
                speaking().facts(kind),
                speaking().calendar(kind, null).stream()
                        .map(CountAssessment.WorkDays::text)
                        .toList(),
                PHASES.stream()
                        .map(phase -> new PhaseLine(
                                phase,
                                kind.phases().get(phase).verdict(),
                                said(kind.phases().get(phase).reason())))
                        .toList(),
                CountedSvg.draw(WellKept.of(kind), List.of(), CountedSvg.Ink.SCREEN));
    }

    private static SpeciesPage page(Species one) {
        return new SpeciesPage(
                one.id(),
                titled(one.name()),
                one.kind(),
                one.systems(),
                one.smallWood().ideal().lengthCm(),
                one.smallWood().ideal().diameterMm(),
                one.renewal().spurAgeMost(),
                one.renewal().shareAYear(),
                one.hardness().woodShare(),
                one.hardness().bigCuts(),
                one.crop().basis(),
                one.crop().fruitsPerCm2(),
                one.thinning().spacingCm(),
                one.vigour().youngCm(),
                one.vigour().bearingCm(),
                one.growing().coldC(),
                PHASES.stream()
                        .map(phase -> new PhaseLine(
                                phase,
                                one.phases().get(phase).verdict(),
                                said(one.phases().get(phase).reason())))
                        .toList(),
                one.cautions().stream().map(GuideController::said).toList());
    }

    private static SystemPage page(TrainingSystem one) {
        return new SystemPage(
                one.id(),
                titled(one.name()),
                one.form(),
                one.shape().height(),
                one.shape().spread(),
                one.shape().depth(),
                one.shape().fullAtLeaf(),
                one.spacing().inRow(),
                one.spacing().betweenRows(),
                one.stocks(),
                said(one.support()),
                one.work().minutesATree(),
                one.cost(),
                one.steps().stream()
                        .map(step -> new YearLine(step.leaf(), said(step.what())))
                        .toList(),
                said(one.mature()),
                said(one.strengths()),
                said(one.risks()));
    }

    private static SchoolPage page(School one) {
        Map<String, Object> lines = SchoolLines.of(one);
        Map<String, Double> numbers = new java.util.TreeMap<>();
        lines.forEach(
                (line, value) -> numbers.put(line, value instanceof Boolean yes ? (yes ? 1.0 : 0.0) : (Double) value));
        return new SchoolPage(
                one.id(),
                titled(one.name()),
                said(one.why()),
                numbers,
                lines.entrySet().stream()
                        .filter(entry -> entry.getValue() instanceof Boolean)
                        .map(Map.Entry::getKey)
                        .toList());
    }
}
