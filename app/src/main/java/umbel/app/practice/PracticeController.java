package umbel.app.practice;

import jakarta.validation.Valid;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.app.people.SignedIn;
import umbel.app.plan.TreeAnswers;

/** Trees that cannot be harmed: exercises, hints, marks by what the cuts do, and how people get on. */
@RestController
@RequestMapping("/api/practice")
class PracticeController {

    private final PracticeService practice;
    private final PracticeTrees trees;
    private final PracticeRecords records;
    private final Computing computing;

    PracticeController(PracticeService practice, PracticeTrees trees, PracticeRecords records, Computing computing) {
        this.trees = trees;
        this.practice = practice;
        this.records = records;
        this.computing = computing;
    }

    /** What exercises can be made of. */
    @GetMapping("/choices")
    PracticeAnswers.PracticeChoices choices() {
        return practice.choices();
    }

    /** Makes an exercise, for which its tree is planned. */
    @PostMapping("/exercises")
    PracticeAnswers.PracticeMade make(@Valid @RequestBody PracticeAnswers.PracticeWish wish) {
        return computing.answer(Lane.PLANS, () -> trees.make(wish));
    }

    /** The tree of an exercise; {@code tree-12} is a surveyed tree of the holding. */
    @GetMapping("/exercises/{code}")
    PracticeAnswers.PracticeTreePage page(@PathVariable String code) {
        return computing.answer(Lane.PLANS, () -> practice.page(code));
    }

    /** What marks do. */
    @PostMapping("/exercises/{code}/marked")
    TreeAnswers.UnderMarks marked(@PathVariable String code, @Valid @RequestBody PracticeAnswers.PracticeMarks marks) {
        return computing.answer(Lane.QUICK, () -> practice.underMarks(code, marks.marks()));
    }

    /** The exercise with what it needs where there is no signal. */
    @GetMapping("/exercises/{code}/kit")
    PracticeAnswers.PracticeKit kit(@PathVariable String code) {
        return computing.answer(Lane.PLANS, () -> practice.kit(code));
    }

    /** What could be done to a limb. */
    @PostMapping("/exercises/{code}/limbs/{limb}/options")
    List<TreeAnswers.Option> options(
            @PathVariable String code,
            @PathVariable String limb,
            @Valid @RequestBody PracticeAnswers.PracticeMarks marks) {
        return computing.answer(Lane.QUICK, () -> practice.options(code, limb, marks.marks()));
    }

    /** A hint at what is still missing. */
    @PostMapping("/exercises/{code}/hint")
    PracticeAnswers.PracticeHint hint(@PathVariable String code, @Valid @RequestBody PracticeAnswers.HintAsked asked) {
        return computing.answer(Lane.PLANS, () -> practice.hint(code, asked.marks(), asked.degree()));
    }

    /** Marks an answer and writes it down for whoever is signed in. */
    @PostMapping("/exercises/{code}/answer")
    PracticeAnswers.PracticeVerdict answer(
            @PathVariable String code, @Valid @RequestBody PracticeAnswers.PracticeEntry entry) {
        PracticeAnswers.PracticeVerdict verdict =
                computing.answer(Lane.PLANS, () -> practice.verdict(code, entry.marks(), entry.pointed()));
        records.write(SignedIn.name(), code, verdict, entry.marks());
        return verdict;
    }

    /** Trees for a minute's drill: on each one fault is to be found. */
    @GetMapping("/drills")
    List<PracticeAnswers.DrillTree> drill() {
        return computing.answer(Lane.QUICK, practice::drill);
    }

    /** A tree of a drill, and where the fault is that one rule finds. */
    @GetMapping("/exercises/{code}/drill")
    PracticeAnswers.DrillPage drillPage(@PathVariable String code, @RequestParam String rule) {
        return computing.answer(Lane.PLANS, () -> practice.drillPage(code, rule));
    }

    /** How whoever is signed in gets on. */
    @GetMapping("/progress")
    PracticeAnswers.PracticeProgress progress() {
        return records.progress(SignedIn.name());
    }

    /** How the crew gets on, and how alike it cuts. */
    @GetMapping("/crew")
    PracticeAnswers.PracticeCrew crew() {
        return records.crew();
    }
}
