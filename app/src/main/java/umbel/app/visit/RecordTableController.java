package umbel.app.visit;

import java.io.IOException;
import java.io.StringWriter;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.data.domain.Sort;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;

/** Everything that was recorded as one table, a line a step. */
@RestController
@RequestMapping("/api")
class RecordTableController {

    private final RecordRepository records;

    RecordTableController(RecordRepository records) {
        this.records = records;
    }

    /** The table. */
    @GetMapping(value = "/records.csv", produces = "text/csv")
    @Transactional(readOnly = true)
    public String table() throws IOException {
        StringWriter out = new StringWriter();
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader(
                        "visit",
                        "corrects",
                        "done_on",
                        "block",
                        "tree",
                        "who",
                        "minutes_of_visit",
                        "step",
                        "operation",
                        "limb",
                        "outcome",
                        "reason",
                        "note")
                .get();
        try (CSVPrinter table = new CSVPrinter(out, format)) {
            for (WorkRecord visit : records.findAll(Sort.by("id"))) {
                for (RecordController.DoneStep step : RecordController.steps(visit)) {
                    table.printRecord(
                            visit.id(),
                            visit.correctsId(),
                            visit.doneOn(),
                            visit.tree().block().name(),
                            visit.tree().label(),
                            visit.who(),
                            visit.minutes(),
                            step.title(),
                            step.mark().operation(),
                            step.mark().limb(),
                            step.outcome(),
                            step.reason(),
                            visit.note());
                }
            }
        }
        return out.toString();
    }
}
