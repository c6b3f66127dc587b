package umbel.app.planting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import umbel.app.reader.Reader;
import umbel.app.sheets.PdfPages;
import umbel.field.FieldRows;
import umbel.knowledge.Knowledge;
import umbel.planting.PlantingRequest;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;

/** A planting plan on paper: the field from above, its rows one by one, and what is bought. */
@Component
class PlantingPlan {

    private final Knowledge knowledge;
    private final PdfPages pages;

    PlantingPlan(Knowledge knowledge, PdfPages pages) {
        this.knowledge = knowledge;
        this.pages = pages;
    }

    /** A stretch of a row on the page. */
    record Line(String row, long trees, String length) {}

    /** A thing to buy on the page. */
    record Bought(String text, String amount) {}

    byte[] pdf(
            PlantingRequest request,
            PlantingRequest.Planting option,
            FieldRows rows,
            String drawing,
            List<FieldAnswers.PlantingMaterial> materials) {
        Speech speech = Reader.speech();
        List<Line> lines = new ArrayList<>();
        for (FieldRows.Row row : rows.rows()) {
            lines.add(new Line(String.valueOf(row.number()), row.trees(), length(speech, row.length())));
        }
        List<Bought> bought = materials.stream()
                .map(one -> new Bought(
                        one.text(),
                        one.unit().equals("m") ? length(speech, one.amount()) : count(speech, one.amount())))
                .toList();
        Context context = new Context(Locale.ENGLISH);
        context.setVariable(
                "title",
                speech.say(Statement.of("planting-plan.title")
                        .with("name", Value.name(option.name()))
                        .with(
                                "kind",
                                Value.name(speech.knowledge(
                                        knowledge.species(option.species()).name())))
                        .with(
                                "system",
                                Value.name(speech.knowledge(
                                        knowledge.system(option.system()).name())))));
        context.setVariable(
                "facts",
                speech.say(Statement.of("planting-plan.facts")
                        .with("trees", Value.count(rows.trees()))
                        .with("rows", Value.count(rows.lines()))
                        .with("row", Value.reach(rows.length()))
                        .with("place", Value.reach(option.spacing().inRow()))
                        .with("between", Value.reach(option.spacing().betweenRows()))
                        .with("headland", Value.reach(request.site().headlandM()))
                        .with("bearing", Value.degrees(request.site().rowBearingDeg()))));
        context.setVariable("note", speech.say(Statement.of("planting-plan.note")));
        context.setVariable("rowsTitle", speech.say(Statement.of("planting-plan.rows")));
        context.setVariable("boughtTitle", speech.say(Statement.of("planting-plan.bought")));
        context.setVariable("drawing", drawing);
        context.setVariable("lines", lines);
        context.setVariable("bought", bought);
        return pages.of("planting-plan", context);
    }

    private static String length(Speech speech, double metres) {
        return speech.say(Statement.of("planting-plan.length").with("length", Value.reach(Units.round(metres, 1))));
    }

    private static String count(Speech speech, long count) {
        return speech.say(Statement.of("planting-plan.count").with("count", Value.count(count)));
    }
}
