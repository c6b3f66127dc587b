package umbel.app.guide;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import umbel.app.cache.ComputedCache;
import umbel.app.reader.Reader;
import umbel.assess.CountAssessment;
import umbel.assess.CountedAssessor;
import umbel.counted.CountRule;
import umbel.counted.WellKept;
import umbel.drawing.CountedSvg;
import umbel.guide.FirstYears;
import umbel.guide.KindFacts;
import umbel.guide.PartsOfTree;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CutCard;
import umbel.knowledge.GlossaryTerm;
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
import umbel.wood.Units;

/** What the program knows, for reading: kinds of tree, systems, schools side by side. */
@Component
class GuideService {

    private static final List<String> PHASES =
            List.of("dormant", "delayed-dormant", "bloom", "early-summer", "summer", "after-harvest");

    private static final int MOST_SYSTEMS = 40;

    private final Knowledge knowledge;
    private final CountedAssessor counted;
    private final ComputedCache<String, List<GuideAnswers.LeafDrawn>> years = ComputedCache.atMost(MOST_SYSTEMS);

    GuideService(Knowledge knowledge, CountedAssessor counted) {
        this.knowledge = knowledge;
        this.counted = counted;
    }

    /** What the program knows. */
    GuideAnswers.Guide guide() {
        return new GuideAnswers.Guide(
                knowledge.cutCards().stream().map(GuideService::page).toList(),
                knowledge.allSpecies().stream().map(GuideService::page).toList(),
                knowledge.allCounted().stream().map(this::page).toList(),
                Arrays.stream(CountRule.values())
                        .map(rule -> new GuideAnswers.CountedRulePage(
                                rule.id(), speaking().name(rule), speaking().why(rule)))
                        .toList(),
                knowledge.allSystems().stream().map(GuideService::page).toList(),
                knowledge.allSchools().stream().map(GuideService::page).toList(),
                knowledge.schoolQuestions().stream().map(GuideService::page).toList(),
                PartsOfTree.drawing(knowledge, term -> said(term.name())),
                knowledge.glossary().stream().map(GuideService::page).toList());
    }

    /** A training system's tree in its first years, made up as the system shapes it. */
    List<GuideAnswers.LeafDrawn> firstYears(String id) {
        TrainingSystem system = knowledge.system(id);
        return years.get(
                id,
                () -> FirstYears.of(system, knowledge).stream()
                        .map(one -> new GuideAnswers.LeafDrawn(one.leaf(), Units.round(one.top(), 1), one.drawing()))
                        .toList());
    }

    /** Every rule of reading, in the order in which they are read. */
    List<GuideAnswers.RulePage> rules() {
        return Rules.all().stream().map(this::page).toList();
    }

    private static String said(String known) {
        return Reader.speech().knowledge(known);
    }

    /** A name as it stands in a list or over a page. */
    private static String titled(String known) {
        return Speech.capital(said(known));
    }

    private static GuideAnswers.TermLine page(GlossaryTerm term) {
        Speech here = Reader.speech();
        Speech other = Speech.of(here.language().equals("es") ? "en" : "es", here.units());
        return new GuideAnswers.TermLine(
                term.id(),
                term.group(),
                here.knowledge(term.name()),
                other.knowledge(term.name()),
                here.knowledge(term.means()),
                term.at() != null);
    }

    private static GuideAnswers.QuestionPage page(SchoolQuestion question) {
        return new GuideAnswers.QuestionPage(
                question.id(),
                said(question.asks()),
                question.line(),
                question.kinds(),
                question.sides().stream()
                        .map(side -> new GuideAnswers.SideLine(side.value(), said(side.name()), said(side.why())))
                        .toList(),
                said(question.usual()));
    }

    private static GuideAnswers.CutPage page(CutCard card) {
        return new GuideAnswers.CutPage(
                card.id(),
                card.group(),
                card.operations(),
                said(card.name()),
                said(card.does()),
                said(card.why()),
                said(card.goes()),
                Stream.of(card.figure(), card.wrong()).filter(Objects::nonNull).toList());
    }

    private GuideAnswers.RulePage page(Rule rule) {
        RuleKnowledge told = knowledge.plan().rules().get(rule.id());
        return new GuideAnswers.RulePage(
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

    private GuideAnswers.CountedPage page(CountedKind kind) {
        return new GuideAnswers.CountedPage(
                kind.id(),
                titled(kind.name()),
                Reader.speech().say(CountedAssessor.formOf(kind)),
                speaking().facts(kind),
                speaking().calendar(kind, null).stream()
                        .map(CountAssessment.WorkDays::text)
                        .toList(),
                PHASES.stream()
                        .map(phase -> new GuideAnswers.PhaseLine(
                                phase,
                                kind.phases().get(phase).verdict(),
                                said(kind.phases().get(phase).reason())))
                        .toList(),
                CountedSvg.draw(WellKept.of(kind), List.of(), CountedSvg.Ink.SCREEN));
    }

    private static GuideAnswers.SpeciesPage page(Species one) {
        return new GuideAnswers.SpeciesPage(
                one.id(),
                titled(one.name()),
                one.kind(),
                one.systems(),
                KindFacts.of(one).stream().map(Reader.speech()::say).toList(),
                PHASES.stream()
                        .map(phase -> new GuideAnswers.PhaseLine(
                                phase,
                                one.phases().get(phase).verdict(),
                                said(one.phases().get(phase).reason())))
                        .toList(),
                one.cautions().stream().map(GuideService::said).toList());
    }

    private static GuideAnswers.SystemPage page(TrainingSystem one) {
        return new GuideAnswers.SystemPage(
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
                        .map(step -> new GuideAnswers.YearLine(step.leaf(), said(step.what())))
                        .toList(),
                said(one.mature()),
                said(one.strengths()),
                said(one.risks()));
    }

    private static GuideAnswers.SchoolPage page(School one) {
        Map<String, Object> lines = SchoolLines.of(one);
        Map<String, Double> numbers = new java.util.TreeMap<>();
        lines.forEach(
                (line, value) -> numbers.put(line, value instanceof Boolean yes ? (yes ? 1.0 : 0.0) : (Double) value));
        return new GuideAnswers.SchoolPage(
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
