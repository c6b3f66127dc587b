package umbel.app.planning;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.Farm;
import umbel.app.job.JobProgress;
import umbel.app.job.JobService;
import umbel.app.job.JobWork;
import umbel.app.job.NightWork;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.plan.AnswersAhead;
import umbel.app.plan.PlanWorth;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;

/**
 * Plans every surveyed tree of a block or of the farm in the background, every night for those about which something has changed. What
 * was planned before and still rests on the same is not planned again.
 */
@Service
class TreePlanning implements JobWork, NightWork {

    private static final String KIND = "planning";
    private static final String BY_NIGHT = "night";

    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final TreePlanRepository plans;
    private final PlanWorth worths;
    private final AnswersAhead ahead;
    private final BlockState states;
    private final JobService jobs;
    private final TransactionTemplate transactions;
    private final Clock clock;

    TreePlanning(
            BlockRepository blocks,
            SurveyRepository surveys,
            TreePlanRepository plans,
            PlanWorth worths,
            AnswersAhead ahead,
            BlockState states,
            JobService jobs,
            TransactionTemplate transactions,
            Clock clock) {
        this.blocks = blocks;
        this.surveys = surveys;
        this.plans = plans;
        this.worths = worths;
        this.ahead = ahead;
        this.states = states;
        this.jobs = jobs;
        this.transactions = transactions;
        this.clock = clock;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Outcome of(SurveyEntry survey) {
        long tree = survey.tree().id();
        String state = states.lately(survey.tree().block().id());
        String basis = states.digest(worths.basis(survey));
        boolean holds = transactions
                .execute(status -> plans.findByTreeId(tree))
                .filter(one -> one.restsOn(basis))
                .isPresent();
        PlanWorth.Planned planned = holds ? null : worths.planned(survey);
        if (planned != null) {
            ahead.of(survey);
        }
        return new Outcome(null, () -> {
            TreePlan plan = plans.findByTreeId(tree).orElseGet(() -> new TreePlan(tree));
            if (planned != null) {
                plan.plan(survey.id(), basis, planned.worth(), planned.ahead(), clock.instant());
            }
            plan.holdsIn(state);
            plans.save(plan);
        });
    }

    @Override
    public void begin(Farm farm) {
        if (farm.plansAtNight()) {
            beginChanged();
        }
    }

    /** Begins to plan the trees of the farm that have no plan, or one that may be out of date. */
    void beginChanged() {
        List<SurveyLine> stale = transactions.execute(status -> stale(surveys.tellNewest()));
        if (!stale.isEmpty()) {
            states.lookAgain();
            jobs.begin(KIND, null, stale, BY_NIGHT);
        }
    }

    /** Those of some trees that have no plan, or one that may be out of date. */
    private List<SurveyLine> stale(List<SurveyLine> newest) {
        Map<Long, TreePlan> known = plans.findAll().stream().collect(Collectors.toMap(TreePlan::treeId, plan -> plan));
        Map<Long, String> now = new TreeMap<>();
        return newest.stream()
                .filter(survey -> {
                    String state = now.computeIfAbsent(survey.blockId(), states::of);
                    TreePlan plan = known.get(survey.treeId());
                    return plan == null || !plan.holds(survey.id(), state);
                })
                .toList();
    }

    /** Begins to plan a block, or the whole farm where none is told; plans that still hold are looked at too. */
    void begin(Long block, String who) {
        List<SurveyLine> trees = transactions.execute(status -> block == null
                ? surveys.tellNewest()
                : surveys.tellNewestOfBlock(blocks.existing(block).id()));
        states.lookAgain();
        jobs.begin(KIND, block, trees, who);
    }

    /** Stops the planning of a block, or of the whole farm, that is under way. */
    void cancel(Long block) {
        jobs.last(KIND, block).filter(JobProgress::underWay).ifPresent(job -> jobs.cancel(KIND, job.job()));
    }

    /** How far the last planning of a block, or of the whole farm, has come. */
    Optional<JobProgress> last(Long block) {
        return jobs.last(KIND, block);
    }

    /**
     * A surveyed tree with its plan.
     *
     * @param plan null while it was not planned
     * @param stale whether something is known by now that was not when it was planned
     */
    record PlannedTree(SurveyLine survey, TreePlan plan, boolean stale) {}

    /**
     * A block with what is planned in it.
     *
     * @param treeCount its trees, surveyed or not
     * @param trees those surveyed
     */
    record PlannedBlock(int treeCount, List<PlannedTree> trees) {

        /** The seasons to come of a tree of the block, by those planned; none while none is. */
        List<SeasonsAhead> seasons() {
            return SeasonsAhead.of(trees.stream()
                    .map(PlannedTree::plan)
                    .filter(Objects::nonNull)
                    .map(TreePlan::seasons)
                    .filter(seasons -> !seasons.isEmpty())
                    .toList());
        }
    }

    /** The surveyed trees of a block with their plans. */
    PlannedBlock ofBlock(long block) {
        return transactions.execute(status -> {
            Block there = blocks.existing(block);
            Map<Long, TreePlan> known =
                    plans.findOfBlock(there.id()).stream().collect(Collectors.toMap(TreePlan::treeId, plan -> plan));
            String state = states.of(there.id());
            return new PlannedBlock(
                    there.treeCount(),
                    surveys.tellNewestOfBlock(there.id()).stream()
                            .map(survey -> {
                                TreePlan plan = known.get(survey.treeId());
                                return new PlannedTree(survey, plan, plan != null && !plan.holds(survey.id(), state));
                            })
                            .toList());
        });
    }

    /** How many trees of the farm are planned, out of date and doubtful. */
    FarmPlans ofFarm() {
        return transactions.execute(status -> {
            List<SurveyLine> newest = surveys.tellNewest();
            List<TreePlan> known = plans.findAll();
            Map<Long, TreePlan> ofTree = known.stream().collect(Collectors.toMap(TreePlan::treeId, plan -> plan));
            List<TreePlan> standing = newest.stream()
                    .map(survey -> ofTree.get(survey.treeId()))
                    .filter(Objects::nonNull)
                    .toList();
            return new FarmPlans(
                    newest.size(), standing.size(), stale(newest).size() - (newest.size() - standing.size()), (int)
                            standing.stream().filter(plan -> plan.doubts() > 0).count());
        });
    }

    /** Surveyed trees of the farm; those planned, those of them whose plan may be out of date, and those whose plan leaves doubts. */
    record FarmPlans(int surveyed, int planned, int stale, int doubtful) {}
}
