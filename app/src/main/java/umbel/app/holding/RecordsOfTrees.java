package umbel.app.holding;

import org.springframework.stereotype.Component;
import umbel.app.harvest.PickingRepository;
import umbel.app.log.RecordRepository;
import umbel.app.orchard.TreeRecords;
import umbel.app.photo.PhotoRepository;
import umbel.app.plan.SavedDecisionsRepository;
import umbel.app.season.ScheduledWorkRepository;
import umbel.app.survey.SurveyRepository;

/** What is kept about trees and blocks: surveys, marks, visits, harvests, photographs, planned work. */
@Component
class RecordsOfTrees implements TreeRecords {

    private final SurveyRepository surveys;
    private final SavedDecisionsRepository works;
    private final RecordRepository records;
    private final PickingRepository pickings;
    private final ScheduledWorkRepository placed;
    private final PhotoRepository photos;

    RecordsOfTrees(
            SurveyRepository surveys,
            SavedDecisionsRepository works,
            RecordRepository records,
            PickingRepository pickings,
            ScheduledWorkRepository placed,
            PhotoRepository photos) {
        this.surveys = surveys;
        this.works = works;
        this.records = records;
        this.pickings = pickings;
        this.placed = placed;
        this.photos = photos;
    }

    @Override
    public boolean hasAny(long treeId) {
        return surveys.existsByTreeId(treeId)
                || works.findByTreeId(treeId).isPresent()
                || records.existsByTreeId(treeId)
                || pickings.existsByTreeId(treeId)
                || photos.existsByTreeId(treeId);
    }

    @Override
    public boolean hasAnyOfBlock(long blockId) {
        return pickings.existsByBlockId(blockId) || placed.existsByBlockId(blockId);
    }
}
