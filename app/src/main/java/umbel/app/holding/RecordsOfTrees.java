package umbel.app.holding;

import org.springframework.stereotype.Component;
import umbel.app.harvest.PickingRepository;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.TreeRecords;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.app.season.ScheduledWorkRepository;
import umbel.app.survey.SurveyRepository;

/** What is kept about trees and blocks: surveys, marks, visits, harvests, planned work. */
@Component
class RecordsOfTrees implements TreeRecords {

    private final SurveyRepository surveys;
    private final SavedDecisionsRepository works;
    private final RecordRepository records;
    private final PickingRepository pickings;
    private final ScheduledWorkRepository placed;

    RecordsOfTrees(
            SurveyRepository surveys,
            SavedDecisionsRepository works,
            RecordRepository records,
            PickingRepository pickings,
            ScheduledWorkRepository placed) {
        this.surveys = surveys;
        this.works = works;
        this.records = records;
        this.pickings = pickings;
        this.placed = placed;
    }

    @Override
    public boolean hasAny(long treeId) {
        return surveys.existsByTreeId(treeId)
                || works.findByTreeId(treeId).isPresent()
                || records.existsByTreeId(treeId)
                || pickings.existsByTreeId(treeId);
    }

    @Override
    public boolean hasAnyOfBlock(long blockId) {
        return pickings.existsByBlockId(blockId) || placed.existsByBlockId(blockId);
    }
}
