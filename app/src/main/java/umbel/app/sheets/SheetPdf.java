package umbel.app.sheets;

import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;

/** Sheets and labels as PDF. */
@Component
class SheetPdf {

    private final PdfPages pages;

    SheetPdf(PdfPages pages) {
        this.pages = pages;
    }

    /** A page a tree. */
    byte[] sheets(List<FieldSheet> sheets, String language, String title) {
        Context context = new Context(Locale.forLanguageTag(language));
        context.setVariable("sheets", sheets);
        context.setVariable("lang", language);
        context.setVariable("title", title);
        return pages.of("sheet", context);
    }

    /** A label a tree. */
    record Label(String name, String block, String code) {}

    /** Labels to print and tie to the trees. */
    byte[] labels(List<Label> labels) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("labels", labels);
        return pages.of("labels", context);
    }
}
