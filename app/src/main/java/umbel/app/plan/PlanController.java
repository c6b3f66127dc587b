package umbel.app.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.answer.Written;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.app.survey.StandDrawing;
import umbel.assess.Assessment;

/** One tree's heart: what is wrong, what to cut, and what each mark does. */
@RestController
@RequestMapping("/api/trees/{id}")
class PlanController {

    private final TreePageService pages;
    private final PlanService plans;
    private final MarkService marks;
    private final GrowthService growth;
    private final LayerService layers;
    private final Computing computing;

    PlanController(
            TreePageService pages,
            PlanService plans,
            MarkService marks,
            GrowthService growth,
            LayerService layers,
            Computing computing) {
        this.computing = computing;
        this.pages = pages;
        this.plans = plans;
        this.marks = marks;
        this.growth = growth;
        this.layers = layers;
    }

    /** The years to come under the marks, beside the tree left alone; ranges over kinder and harder seasons. */
    @PostMapping("/years")
    TreeAnswers.Years years(
            @PathVariable long id,
            @Valid @RequestBody Decisions decisions,
            @RequestParam(defaultValue = "3") @Min(1) @Max(5) int years,
            @RequestParam(defaultValue = "true") boolean thinned) {
        return computing.answer(Lane.PLANS, () -> growth.years(id, decisions, years, thinned));
    }

    /** The tree drawn after some of those years. */
    @PostMapping("/years/{year}/drawing")
    StandDrawing yearDrawn(
            @PathVariable long id,
            @PathVariable int year,
            @Valid @RequestBody Decisions decisions,
            @RequestParam(defaultValue = "3") @Min(1) @Max(5) int years,
            @RequestParam(defaultValue = "true") boolean thinned,
            @RequestParam(defaultValue = "false") boolean alone) {
        return computing.answer(Lane.PLANS, () -> growth.drawing(id, decisions, years, thinned, year, alone));
    }

    /** The tree drawn and read, with what was decided so far. */
    @GetMapping
    TreeAnswers.TreePage tree(@PathVariable long id) {
        Viewer viewer = Viewer.here();
        return computing.answer(Lane.QUICK, () -> pages.page(id, viewer));
    }

    /** The plans for the tree, thought round what was taken and refused. */
    @PostMapping("/plans")
    Written<TreeAnswers.Plans> plans(@PathVariable long id, @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.PLANS, () -> plans.plans(id, decisions));
    }

    /** The recommended plan first, for whoever waits; the others follow by {@code plans}. */
    @PostMapping("/plans/first")
    Written<TreeAnswers.FirstPlan> firstPlan(@PathVariable long id, @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.PLANS, () -> plans.firstPlan(id, decisions));
    }

    /** The plan beside that of another school: which cuts differ, because of which setting. */
    @PostMapping("/schools")
    TreeAnswers.Beside schools(
            @PathVariable long id, @Valid @RequestBody Decisions decisions, @RequestParam String beside) {
        return computing.answer(Lane.PLANS, () -> plans.beside(id, decisions, decisions.underSchool(beside)));
    }

    /** The plan beside that of the same school with one of its lines set otherwise; yes and no as 1 and 0. */
    @PostMapping("/schools/line")
    TreeAnswers.Beside schoolLine(
            @PathVariable long id,
            @Valid @RequestBody Decisions decisions,
            @RequestParam String line,
            @RequestParam double value) {
        return computing.answer(Lane.PLANS, () -> plans.beside(id, decisions, decisions.withLine(line, value)));
    }

    /** What the marks so far do: the gauges, what falls, what bends, what is still wrong. */
    @PostMapping("/marks")
    Written<TreeAnswers.Marked> marks(@PathVariable long id, @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.QUICK, () -> marks.marked(id, decisions));
    }

    /** What limbs take from each other, and sections through the tree. */
    @GetMapping("/light")
    TreeAnswers.LightLayer light(@PathVariable long id) {
        return computing.answer(Lane.QUICK, () -> layers.light(id));
    }

    /** The tree under its crop. */
    @GetMapping("/harvest")
    TreeAnswers.HarvestLayer harvest(@PathVariable long id) {
        return computing.answer(Lane.QUICK, () -> layers.harvest(id));
    }

    /** What could be done to one limb, and what each would do beside the marks so far. */
    @PostMapping("/limbs/{limb}/options")
    List<TreeAnswers.Option> options(
            @PathVariable long id, @PathVariable String limb, @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.QUICK, () -> marks.options(id, limb, decisions));
    }

    /** Keeps what was decided; refused when it was changed elsewhere meanwhile. */
    @PutMapping("/work")
    TreeAnswers.Kept keep(@PathVariable long id, @RequestBody TreeAnswers.Keep keep) {
        Viewer viewer = Viewer.here();
        return computing.answer(Lane.QUICK, () -> marks.keep(id, keep, viewer));
    }

    /** A plan of one name for printing and record: the steps of the marks in the order of work. */
    @PostMapping("/sheet")
    List<Assessment.StepAnswer> sheet(@PathVariable long id, @Valid @RequestBody Decisions decisions) {
        return computing.answer(Lane.QUICK, () -> marks.sheet(id, decisions));
    }
}
