package umbel.app.guide;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the program knows, for reading: kinds of tree, systems, schools side by side. */
@RestController
@RequestMapping("/api/guide")
class GuideController {

    private final GuideService service;

    GuideController(GuideService service) {
        this.service = service;
    }

    /** What the program knows. */
    @GetMapping
    GuideAnswers.Guide guide() {
        return service.guide();
    }

    /** A training system's tree in its first years, made up as the system shapes it. */
    @GetMapping("/systems/{id}/years")
    List<GuideAnswers.LeafDrawn> firstYears(@PathVariable String id) {
        return service.firstYears(id);
    }

    /** Every rule of reading, in the order in which they are read. */
    @GetMapping("/rules")
    List<GuideAnswers.RulePage> rules() {
        return service.rules();
    }
}
