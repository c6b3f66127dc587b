package umbel.app.visit;

import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Gives everything that was recorded as a table. */
@RestController
@RequestMapping("/api")
class RecordTableController {

    private final RecordTable records;

    RecordTableController(RecordTable records) {
        this.records = records;
    }

    /** The table. */
    @GetMapping(value = "/records.csv", produces = "text/csv")
    StreamingResponseBody table() {
        return out -> {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            records.write(writer);
            writer.flush();
        };
    }
}
