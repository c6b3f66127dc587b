package umbel.app.visit;

import java.util.List;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.log.WorkRecord;

/** The steps of a visit as they were recorded. */
final class RecordedSteps {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private RecordedSteps() {}

    static List<VisitEntry.DoneStep> of(WorkRecord visit) {
        return JSON.readValue(visit.document(), new TypeReference<List<VisitEntry.DoneStep>>() {});
    }
}
