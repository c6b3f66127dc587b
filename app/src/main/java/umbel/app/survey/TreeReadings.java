package umbel.app.survey;

import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.cache.ComputedCache;
import umbel.app.http.Refused;
import umbel.app.orchard.Block;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.counted.CountReader;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.light.LightModel;
import umbel.plant.CountedPlant;
import umbel.plant.Plant;
import umbel.plant.SurveyedTree;
import umbel.reading.FindingConfidence;
import umbel.reading.FruitingCentre;
import umbel.reading.Neighbours;
import umbel.survey.Survey;
import umbel.survey.SurveyReader;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;
import umbel.wood.Units;

/** Trees built and read from saved surveys, kept while they are looked at. Saved surveys never change, so these cannot go stale. */
@Component
public class TreeReadings {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MOST = 300;
    private static final int COMPANIES = 5_000;
    private static final double SHARE_OF_MEMORY = 1.0 / 8;
    private static final double DAYS_A_YEAR = 365.25;

    private final Assessor assessor;
    private final SurveyRepository surveys;
    private final Knowledge knowledge;
    private final SeasonCounts counts;
    private final BlockMeasures measures;
    private final BlockState states;
    private final ComputedCache<Long, CountedPlant> counted = ComputedCache.atMost(MOST);
    private final ComputedCache<Key, SurveyedTree> kept =
            ComputedCache.ofTrees(SHARE_OF_MEMORY, read -> read.tree().axes().size());
    private final ComputedCache<Key, FindingConfidence.Answer> sure = ComputedCache.atMost(MOST);
    private final ComputedCache<Around, Neighbours> companies = ComputedCache.atMost(COMPANIES);
    private final ComputedCache<Long, Set<String>> sick = ComputedCache.atMost(50_000);
    private final ComputedCache<String, Optional<Double>> medians = ComputedCache.atMost(MOST);
    private final ComputedCache<Long, Double> trunks = ComputedCache.atMost(20_000);

    private record Key(long surveyId, String school, Double reachM, Map<String, Object> lines, Neighbours neighbours) {}

    /** A survey in a state of its block. */
    private record Around(long surveyId, String state) {}

    private static Key key(
            SurveyEntry survey, String school, Map<String, Object> lines, Double reachM, Neighbours neighbours) {
        return new Key(survey.id(), school == null ? School.USUAL : school, reachM, lines, neighbours);
    }

    public TreeReadings(
            Assessor assessor,
            SurveyRepository surveys,
            Knowledge knowledge,
            SeasonCounts counts,
            BlockMeasures measures,
            BlockState states) {
        this.states = states;
        this.counts = counts;
        this.measures = measures;
        this.knowledge = knowledge;
        this.assessor = assessor;
        this.surveys = surveys;
    }

    /** The survey's tree, read by the usual school and for the usual reach, for itself alone. */
    public SurveyedTree of(SurveyEntry survey) {
        return of(survey, null, Map.of(), null, Neighbours.NONE);
    }

    /** The surveyed plant, of whatever kind it is, read by the usual school and for the usual reach. */
    public Plant plant(SurveyEntry survey) {
        return survey.isCounted() ? counted(survey) : of(survey);
    }

    /** Diseases recorded in some surveys, all together. */
    public Set<String> diseases(List<Long> surveyIds) {
        return sick.all(surveyIds, missing -> aboutEach(missing, TreeReadings::diseases)).values().stream()
                .flatMap(Set::stream)
                .collect(Collectors.toSet());
    }

    private static Set<String> diseases(SurveyDocument survey) {
        return survey.counted()
                ? CountReader.read(JSON.readTree(survey.document())).diseases()
                : SurveyReader.saved(survey.document()).diseases();
    }

    /** The counted plant of a survey. */
    public CountedPlant counted(SurveyEntry survey) {
        if (!survey.isCounted()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.not-a-counted-plant")
                            .with("plant", Value.name(survey.tree().label())));
        }
        return counted.get(
                survey.id(), () -> CountedPlant.read(CountReader.read(JSON.readTree(survey.document())), knowledge));
    }

    /**
     * The survey's tree, read by a school and for a reach; null takes the usual ones.
     *
     * @param lines lines of the school set otherwise
     */
    public SurveyedTree of(
            SurveyEntry survey, String school, Map<String, Object> lines, Double reachM, Neighbours neighbours) {
        if (survey.isCounted()) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.a-counted-plant")
                            .with("plant", Value.name(survey.tree().label())));
        }
        return kept.get(key(survey, school, lines, reachM, neighbours), () -> {
            AssessRequest request = new AssessRequest(
                    SurveyReader.read(survey.document()),
                    null,
                    null,
                    null,
                    school,
                    reachM == null ? null : new AssessRequest.LimitsAsked(null, null, reachM),
                    null,
                    null,
                    lines,
                    null);
            return SurveyedTree.read(assessor, request, neighbours);
        });
    }

    /** How sure that reading is, found by reading again with measuring errors drawn; some tenths of a second the first time. */
    public FindingConfidence.Answer certaintyOf(SurveyEntry survey, SurveyedTree read) {
        AssessRequest request = read.request();
        Double reachM = request.limits() == null ? null : request.limits().reachM();
        return sure.get(
                key(survey, request.school(), request.schoolLines(), reachM, read.neighbours()),
                () -> assessor.certainty(
                        request, assessor.limits(request, read.tree()).reach(), read.neighbours(), read.reading()));
    }

    /** What the newest surveys of its block and its own earlier one tell of a tree; up to two seconds old. */
    public Neighbours neighboursOf(SurveyEntry survey) {
        return around(survey, states.lately(survey.tree().block().id()));
    }

    /** The same, looked for at this moment. */
    public Neighbours lookAroundNow(SurveyEntry survey) {
        return around(survey, states.now(survey.tree().block().id()));
    }

    private Neighbours around(SurveyEntry survey, String state) {
        return companies.get(new Around(survey.id(), state), () -> lookAround(survey, state));
    }

    /** The median section of the trunks of a block, m²; none where fewer than three are known. */
    private Optional<Double> medianSection(Block block) {
        List<Long> trees = surveys.tellNewestOfBlock(block.id()).stream()
                .filter(one -> !one.counted())
                .map(SurveyLine::id)
                .toList();
        double[] sections =
                trunks.all(trees, missing -> aboutEach(missing, TreeReadings::trunkSection)).values().stream()
                        .mapToDouble(section -> section)
                        .sorted()
                        .toArray();
        return sections.length < 3 ? Optional.empty() : Optional.of(sections[sections.length / 2]);
    }

    private Neighbours lookAround(SurveyEntry survey, String state) {
        Optional<Double> median =
                medians.get(state, () -> medianSection(survey.tree().block()));
        List<SurveyEntry> own =
                surveys.findByTreeIdOrderBySurveyedOnDescIdDesc(survey.tree().id());
        SurveyEntry earlier = own.stream()
                .filter(one -> one.surveyedOn().isBefore(survey.surveyedOn().minusDays(200)))
                .findFirst()
                .orElse(null);
        if (earlier == null) {
            return measured(new Neighbours(median.orElse(null), null, 0), survey);
        }
        Tree before = assessor.tree(AssessRequest.of(SurveyReader.read(earlier.document())));
        double years = ChronoUnit.DAYS.between(earlier.surveyedOn(), survey.surveyedOn()) / DAYS_A_YEAR;
        return measured(
                new Neighbours(median.orElse(null), FruitingCentre.of(before, LightModel.read(before)), years), survey);
    }

    /** The same with what was counted and measured in the block. */
    private Neighbours measured(Neighbours around, SurveyEntry survey) {
        return around.counted(fruitFactor(survey))
                .measured(measures.of(survey.tree().block()));
    }

    private double fruitFactor(SurveyEntry survey) {
        return countedAfter(survey).map(SeasonCounts.Counted::factor).orElse(1.0);
    }

    /** What was counted in its block in the season after a survey; its reading is corrected by it. */
    public Optional<SeasonCounts.Counted> countedAfter(SurveyEntry survey) {
        return counts.after(survey.tree().block().id(), survey.surveyedOn());
    }

    /** Looks around again before the two seconds are over: something was counted or measured in a block. */
    public void lookAroundAgain() {
        states.lookAgain();
    }

    private static double trunkSection(SurveyDocument survey) {
        Survey read = SurveyReader.saved(survey.document());
        return Units.section(Units.fromMm(read.trunk().diameterMm()));
    }

    /** Something about each of some surveys. */
    private <T> Map<Long, T> aboutEach(List<Long> surveyIds, Function<SurveyDocument, T> what) {
        Map<Long, T> told = new HashMap<>();
        surveys.documents(surveyIds).forEach(survey -> told.put(survey.id(), what.apply(survey)));
        return told;
    }
}
