package umbel.app.visit;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.format.TableCell;

/** Everything that was recorded as one table, a line a step. */
@Component
public class RecordTable {

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
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

    private static final int PAGE = 500;

    private final RecordRepository records;
    private final TransactionTemplate transactions;

    RecordTable(RecordRepository records, TransactionTemplate transactions) {
        this.records = records;
        this.transactions = transactions;
    }

    /** Writes the table with a heading row; a visit without steps has one line. However many there are, few are held at a time. */
    public void write(Appendable out) throws IOException {
        CSVPrinter table = new CSVPrinter(out, FORMAT);
        for (long last = 0; last >= 0; ) {
            long after = last;
            last = transactions.execute(status -> writePage(table, after));
        }
        table.flush();
    }

    /** Writes the visits after one, and gives the last of them; -1 where there was none. */
    private long writePage(CSVPrinter table, long after) {
        long last = -1;
        try {
            for (WorkRecord visit : records.findByIdGreaterThanOrderById(after, Limit.of(PAGE))) {
                last = visit.id();
                List<VisitEntry.DoneStep> steps = RecordedSteps.of(visit);
                for (VisitEntry.DoneStep step : steps) {
                    print(table, visit, step);
                }
                if (steps.isEmpty()) {
                    print(table, visit, null);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return last;
    }

    private static void print(CSVPrinter table, WorkRecord visit, VisitEntry.DoneStep step) throws IOException {
        table.printRecord(
                visit.id(),
                visit.correctsId(),
                visit.doneOn(),
                TableCell.safe(visit.tree().block().name()),
                TableCell.safe(visit.tree().label()),
                TableCell.safe(visit.who()),
                visit.minutes(),
                step == null ? "" : TableCell.safe(step.title()),
                step == null ? "" : TableCell.safe(step.mark().operation()),
                step == null ? "" : TableCell.safe(step.mark().limb()),
                step == null ? "" : step.outcome(),
                step == null ? "" : TableCell.safe(step.reason()),
                TableCell.safe(visit.note()));
    }
}
