package umbel.app.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import umbel.app.reader.Reader;
import umbel.app.sheets.PdfPages;
import umbel.drawing.FigureSvg;
import umbel.guide.KindFacts;
import umbel.knowledge.Knowledge;
import umbel.knowledge.RuleKnowledge;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;

/** Lays the guide out on pages; what it tells is what the guide on screen tells. */
@Component
class GuidePrint {

    private static final double FIGURE_MM = 26;

    private final GuideService guide;
    private final Knowledge knowledge;
    private final PdfPages pages;

    GuidePrint(GuideService guide, Knowledge knowledge, PdfPages pages) {
        this.guide = guide;
        this.knowledge = knowledge;
        this.pages = pages;
    }

    /** A part of the booklet; {@code drawing} is empty where nothing is drawn at its head. */
    record Section(String title, String drawing, List<Entry> entries) {}

    /** A thing told under its name, with drawings beside it. */
    record Entry(String name, List<String> drawings, List<String> lines) {}

    /** The whole guide. */
    byte[] booklet() {
        GuideAnswers.Guide all = guide.guide();
        List<Section> sections = new ArrayList<>();
        sections.add(new Section(said("guide.booklet.parts"), all.parts(), List.of()));
        sections.add(section(
                "guide.booklet.words",
                all.terms().stream().map(term -> entry(term.name() + " (" + term.other() + ")", term.means()))));
        sections.add(section("guide.booklet.rules", guide.rules().stream().map(GuidePrint::entry)));
        sections.add(section("guide.booklet.cuts", all.cuts().stream().map(GuidePrint::entry)));
        sections.add(section("guide.booklet.systems", all.systems().stream().map(GuidePrint::entry)));
        sections.add(section(
                "guide.booklet.kinds",
                all.species().stream()
                        .map(kind -> new Entry(
                                kind.name(), List.of(), lines(kind.facts(), kind.phases(), kind.cautions())))));
        sections.add(section(
                "guide.booklet.counted",
                all.counted().stream()
                        .map(kind -> new Entry(
                                kind.name(), List.of(), lines(kind.facts(), kind.phases(), kind.calendar())))));
        sections.add(section(
                "guide.booklet.schools",
                all.questions().stream()
                        .map(question -> new Entry(
                                question.asks(),
                                List.of(),
                                Stream.concat(
                                                question.sides().stream().map(side -> side.name() + ". " + side.why()),
                                                Stream.of(question.usual()))
                                        .toList()))));
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("title", said("guide.booklet.title"));
        context.setVariable("note", said("guide.booklet.note"));
        context.setVariable("sections", sections);
        return pages.of("guide", context);
    }

    /** A card of a kind of tree, or of one whose plants are counted. */
    byte[] card(String kind) {
        GuideAnswers.Guide all = guide.guide();
        Optional<GuideAnswers.CountedPage> counted =
                all.counted().stream().filter(one -> one.id().equals(kind)).findFirst();
        Context context = new Context(Locale.ENGLISH);
        if (counted.isPresent()) {
            fill(
                    context,
                    counted.get().name(),
                    counted.get().facts(),
                    counted.get().phases(),
                    counted.get().calendar());
        } else {
            String known = knowledge.species(kind).id();
            GuideAnswers.SpeciesPage tree = all.species().stream()
                    .filter(one -> one.id().equals(known))
                    .findFirst()
                    .orElseThrow();
            fill(context, tree.name(), tree.facts(), tree.phases(), tree.cautions());
        }
        return pages.of("pocket-card", context);
    }

    private static void fill(
            Context context, String name, List<String> facts, List<GuideAnswers.PhaseLine> phases, List<String> more) {
        context.setVariable("name", name);
        context.setVariable("facts", facts);
        context.setVariable("when", said("guide.card.when"));
        context.setVariable("phases", phases.stream().map(GuidePrint::phase).toList());
        context.setVariable("more", more);
    }

    private static Section section(String title, Stream<Entry> entries) {
        return new Section(said(title), "", entries.toList());
    }

    private static Entry entry(String name, String... lines) {
        return new Entry(Speech.capital(name), List.of(), List.of(lines));
    }

    private static Entry entry(GuideAnswers.RulePage rule) {
        return new Entry(
                rule.name(),
                List.of(drawn(rule.figure())),
                List.of(
                        rule.sees(),
                        rule.why(),
                        Reader.speech().say(Statement.of("guide.booklet.do").with("does", Value.name(rule.does())))));
    }

    private static Entry entry(GuideAnswers.CutPage cut) {
        return new Entry(
                cut.name(),
                cut.figures().stream().map(GuidePrint::drawn).toList(),
                List.of(
                        cut.does(),
                        cut.why(),
                        Reader.speech().say(Statement.of("guide.booklet.wrong").with("goes", Value.name(cut.goes())))));
    }

    private static Entry entry(GuideAnswers.SystemPage system) {
        List<String> lines = new ArrayList<>();
        system.steps()
                .forEach(step -> lines.add(Reader.speech()
                        .say(Statement.of("guide.booklet.leaf")
                                .with("leaf", Value.count(step.leaf()))
                                .with("what", Value.name(step.what())))));
        lines.add(Reader.speech().say(Statement.of("guide.booklet.full").with("mature", Value.name(system.mature()))));
        lines.add(system.strengths() + " " + system.risks());
        return new Entry(system.name(), List.of(), lines);
    }

    private static List<String> lines(List<String> facts, List<GuideAnswers.PhaseLine> phases, List<String> more) {
        return Stream.of(facts.stream(), phases.stream().map(GuidePrint::phase), more.stream())
                .flatMap(each -> each)
                .toList();
    }

    private static String phase(GuideAnswers.PhaseLine line) {
        return Speech.capital(Reader.speech().say(KindFacts.phase(line.phase(), line.verdict()))) + ". "
                + line.reason();
    }

    private static String drawn(RuleKnowledge.Figure figure) {
        return FigureSvg.draw(figure, FIGURE_MM);
    }

    private static String said(String code) {
        return Reader.speech().say(Statement.of(code));
    }
}
