package umbel.app.sheets;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Sheets and labels as PDF; nothing is fetched and no font of the machine is needed. */
@Component
class SheetPdf {

    private final TemplateEngine templates = new TemplateEngine();

    SheetPdf() {
        XRLog.setLoggingEnabled(false);
        ClassLoaderTemplateResolver here = new ClassLoaderTemplateResolver();
        here.setPrefix("sheets/");
        here.setSuffix(".html");
        here.setCharacterEncoding("UTF-8");
        templates.setTemplateResolver(here);
    }

    /** A page a tree. */
    byte[] sheets(List<FieldSheet> sheets, String language, String title) {
        Context context = new Context(Locale.forLanguageTag(language));
        context.setVariable("sheets", sheets);
        context.setVariable("lang", language);
        context.setVariable("title", title);
        return pdf("sheet", context);
    }

    /** A label a tree. */
    record Label(String name, String block, String code) {}

    /** Labels to print and tie to the trees. */
    byte[] labels(List<Label> labels) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("labels", labels);
        return pdf("labels", context);
    }

    private byte[] pdf(String template, Context context) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (BatikSVGDrawer drawer = new BatikSVGDrawer()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useSVGDrawer(drawer);
            builder.withHtmlContent(templates.process(template, context), null);
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
