package umbel.app.sheets;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** Pages as PDF from the templates in {@code sheets/}; nothing is fetched and no font of the machine is needed. */
@Component
public class PdfPages {

    private final TemplateEngine templates = new TemplateEngine();

    PdfPages() {
        XRLog.setLoggingEnabled(false);
        ClassLoaderTemplateResolver here = new ClassLoaderTemplateResolver();
        here.setPrefix("sheets/");
        here.setSuffix(".html");
        here.setCharacterEncoding("UTF-8");
        templates.setTemplateResolver(here);
    }

    /** A template filled in. */
    public byte[] of(String template, Context context) {
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
