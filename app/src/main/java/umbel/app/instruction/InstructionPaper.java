package umbel.app.instruction;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.thymeleaf.context.Context;
import umbel.app.reader.Reader;
import umbel.app.sheets.PdfPages;
import umbel.drawing.GaugeCard;
import umbel.drawing.SentenceFigure;
import umbel.instruction.Sentence;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;

/** A block's instruction on paper, with a card of its gauges that prints true to size. */
@Component
class InstructionPaper {

    private final InstructionService instructions;
    private final PdfPages pages;

    InstructionPaper(InstructionService instructions, PdfPages pages) {
        this.instructions = instructions;
        this.pages = pages;
    }

    /** A sentence on the page. */
    record Line(int number, String text, String figure) {}

    /** The newest instruction of a block as a PDF of two pages. */
    @Transactional(readOnly = true)
    public byte[] of(long blockId, String language) {
        InstructionEntry newest = instructions.newest(blockId);
        Speech speech = Speech.of(language, Reader.speech().units());
        List<Sentence> sentences = newest.document().sentences().stream()
                .map(InstructionDocument.SaidSentence::sentence)
                .toList();
        List<Line> lines = new ArrayList<>();
        for (Sentence one : sentences) {
            lines.add(new Line(
                    lines.size() + 1, speech.say(one.text()), SentenceFigure.draw(one, speech.say(one.told()))));
        }
        Context context = new Context(Locale.forLanguageTag(language));
        context.setVariable("block", newest.block().name());
        context.setVariable("always", speech.say(Sentence.always()));
        context.setVariable("lines", lines);
        context.setVariable(
                "minutes",
                speech.say(Statement.of("instruction-paper.minutes")
                        .with(
                                "minutes",
                                Value.number(newest.document().minutes().middle(), 1))));
        context.setVariable("cut", speech.say(Statement.of("instruction-paper.cautions")));
        context.setVariable("print", speech.say(Statement.of("instruction-paper.print")));
        context.setVariable("card", GaugeCard.draw(sentences, speech));
        return pages.of("instruction", context);
    }
}
