package umbel.app.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.cropcount.CropCountAnswers;
import umbel.app.cropcount.CropCountService;
import umbel.app.harvest.Picking;
import umbel.app.harvest.PickingRepository;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.app.visit.VisitEntry;
import umbel.app.visit.VisitService;
import umbel.assess.Mark;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;

/** What was done and picked on the demo holding, and by whom. */
@Component
class DemoLog {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final MonthDay AFTER_JUNE_DROP = MonthDay.of(6, 28);

    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final RecordRepository records;
    private final PersonRepository people;
    private final PickingRepository pickings;
    private final VisitService visits;
    private final CropCountService counts;
    private final Clock clock = Clock.systemDefaultZone();

    DemoLog(
            BlockRepository blocks,
            SurveyRepository surveys,
            RecordRepository records,
            PersonRepository people,
            PickingRepository pickings,
            VisitService visits,
            CropCountService counts) {
        this.blocks = blocks;
        this.surveys = surveys;
        this.records = records;
        this.people = people;
        this.pickings = pickings;
        this.visits = visits;
        this.counts = counts;
    }

    /** The people of the holding. */
    void crew() {
        people.save(new Person("Ines", "en", 6, true, true));
        people.save(new Person("Tomas", "es", 7, true, true));
        people.save(new Person("Lucia", "es", 7, false, true));
        people.save(new Person("Wim", "en", 5, false, false));
    }

    /** Harvests of three years, and a visit that has to be come back for. */
    void years(int year) {
        int[][] kilograms = {
            {9_200, 12_400, 7_100}, {21_500, 30_800, 38_600}, {2_050, 1_780, 2_300}, {640, 1_450, 2_900}
        };
        List<MonthDay> lastPickings =
                List.of(MonthDay.of(9, 24), MonthDay.of(9, 29), MonthDay.of(8, 12), MonthDay.of(7, 5));
        List<Block> bearing = blocks.findAllByOrderById().subList(0, kilograms.length);
        for (int i = 0; i < kilograms.length; i++) {
            for (int ago = 1; ago <= 3; ago++) {
                LocalDate day = lastPickings.get(i).atYear(year - ago);
                pickings.save(new Picking(
                        bearing.get(i),
                        null,
                        "harvest",
                        day,
                        (double) kilograms[i][3 - ago],
                        null,
                        true,
                        "",
                        clock.instant()));
            }
        }
        SurveyEntry young = surveys.findNewest().stream()
                .filter(one -> one.tree().block().name().equals("Nursery Corner"))
                .reduce((first, second) -> second)
                .orElseThrow();
        List<VisitEntry.DoneStep> steps = SurveyReader.read(young.document()).limbs().stream()
                .filter(limb -> limb.parent().equals(Survey.TRUNK) && limb.angleDeg() < 60)
                .limit(2)
                .map(limb -> new VisitEntry.DoneStep(
                        Mark.of(Operation.bend(Target.limb(limb.id()), Math.toRadians(62))),
                        "Bring limb " + limb.id() + " to 62°",
                        "as-planned",
                        ""))
                .toList();
        visits.save(
                young.tree().id(),
                new VisitEntry(
                        LocalDate.now(clock).minusDays(1),
                        "Tomas",
                        6,
                        "Spreaders are marked with grey tape.",
                        steps,
                        null,
                        "ties",
                        null,
                        null,
                        null,
                        null));
    }

    /** Fruits counted on marked limbs of a block after the June drop of last summer. */
    void counted(String name) {
        Block block = blocks.findAllByOrderById().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
        LocalDate today = LocalDate.now(clock);
        LocalDate thisYears = AFTER_JUNE_DROP.atYear(today.getYear());
        counts.keep(
                block.id(),
                new CropCountAnswers.CountSent(
                        thisYears.isBefore(today) ? thisYears : thisYears.minusYears(1),
                        "set",
                        List.of(
                                new CropCountAnswers.CountedLimb(14, 19),
                                new CropCountAnswers.CountedLimb(18, 26),
                                new CropCountAnswers.CountedLimb(12, 9),
                                new CropCountAnswers.CountedLimb(20, 41),
                                new CropCountAnswers.CountedLimb(16, 22)),
                        "Every tenth tree of row 3, one limb at breast height.",
                        "demo-count-1"),
                "Lucia");
    }

    /** A visit a year before a tree was surveyed. */
    void visited(SurveyEntry survey, String note) {
        List<Map<String, Object>> steps = List.of(Map.of(
                "mark",
                Map.of("operation", "remove", "limb", "old south limb"),
                "title",
                "Remove the shading limb on the south side",
                "outcome",
                "as-planned"));
        records.save(new WorkRecord(
                survey.tree(),
                survey.line(),
                null,
                survey.surveyedOn().minusYears(1),
                "Ines, foreman",
                14,
                note,
                JSON.writeValueAsString(steps),
                clock.instant()));
    }
}
