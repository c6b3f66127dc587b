package umbel.app.instruction;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Pattern;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.text.Catalogue;

/** What is said to a crew for a whole block, on screen and on paper, and how finished trees were found. */
@RestController
@RequestMapping("/api/blocks/{id}")
class InstructionController {

    private final InstructionService instructions;
    private final InstructionPaper paper;

    InstructionController(InstructionService instructions, InstructionPaper paper) {
        this.instructions = instructions;
        this.paper = paper;
    }

    /** The instruction, which trees to survey for it, and how a search stands. */
    @GetMapping("/instruction")
    InstructionAnswers.InstructionPage page(@PathVariable long id) {
        return instructions.page(id);
    }

    /** Begins to look for it in the background. */
    @PostMapping("/instruction")
    @ResponseStatus(HttpStatus.ACCEPTED)
    InstructionAnswers.InstructionPage begin(@PathVariable long id) {
        return instructions.begin(
                id, SecurityContextHolder.getContext().getAuthentication().getName());
    }

    /** Stops looking. */
    @DeleteMapping("/instruction/search")
    InstructionAnswers.InstructionPage cancel(@PathVariable long id) {
        return instructions.cancel(id);
    }

    /** Works the block by the newest instruction, or no longer. */
    @PutMapping("/instruction/use")
    InstructionAnswers.InstructionPage use(@PathVariable long id, @RequestBody InstructionAnswers.UseSent sent) {
        return instructions.use(id, sent.use());
    }

    /** Keeps what was seen on finished trees. */
    @PostMapping("/instruction/checks")
    @ResponseStatus(HttpStatus.CREATED)
    InstructionAnswers.InstructionPage check(
            @PathVariable long id, @RequestBody @Valid InstructionAnswers.CheckSent sent) {
        return instructions.check(id, sent);
    }

    /** The instruction for the crew, and the gauges it is held to at their true size. */
    @GetMapping(value = "/instruction.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(
            @PathVariable long id,
            @RequestParam(defaultValue = "en") @Pattern(regexp = Catalogue.ANY_LANGUAGE) String lang) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("instruction.pdf")
                                .build()
                                .toString())
                .body(paper.of(id, lang));
    }
}
