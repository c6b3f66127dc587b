package umbel.app.practice;

import jakarta.validation.Valid;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.people.SignedIn;
import umbel.app.reader.Reader;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.practice.EyeDrill;
import umbel.text.Statement;

/** Small drawings for the eye: a round of them at once, so that it can be done without signal, and how it went. */
@RestController
@RequestMapping("/api/practice/eye")
class EyeDrillController {

    private final Knowledge knowledge;
    private final PracticeRecords records;

    EyeDrillController(Knowledge knowledge, PracticeRecords records) {
        this.knowledge = knowledge;
        this.records = records;
    }

    /** A round, by chance or by its seed. */
    @GetMapping
    List<PracticeAnswers.EyeQuestion> eyeRound(@RequestParam(required = false) Long seed) {
        return EyeDrill.of(
                        seed == null ? ThreadLocalRandom.current().nextLong() : seed,
                        knowledge.practice().eye().questions(),
                        knowledge.school(School.USUAL))
                .stream()
                .map(EyeDrillController::told)
                .toList();
    }

    /** Writes down how a round went. */
    @PostMapping("/results")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void eyeRoundDone(@Valid @RequestBody PracticeAnswers.EyeRound round) {
        records.writeEye(SignedIn.name(), round.answers());
    }

    private static PracticeAnswers.EyeQuestion told(EyeDrill.Question question) {
        return new PracticeAnswers.EyeQuestion(
                question.skill().id(),
                PracticeRecords.eyeName(question.skill()),
                said(question.asks()),
                question.drawing(),
                question.options().stream().map(EyeDrillController::said).toList(),
                question.right(),
                said(question.why()));
    }

    private static String said(Statement statement) {
        return Reader.speech().say(statement);
    }
}
