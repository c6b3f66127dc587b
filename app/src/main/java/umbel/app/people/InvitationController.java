package umbel.app.people;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;

/** The grower invites people into the farm who have, or make, an account of their own: an adviser, or whoever takes the farm over. */
@RestController
@RequestMapping("/api/invitations")
class InvitationController {

    private static final Duration GOOD_FOR = Duration.ofDays(14);

    private final InvitationRepository invitations;
    private final Clock clock;

    InvitationController(InvitationRepository invitations, Clock clock) {
        this.invitations = invitations;
        this.clock = clock;
    }

    /** Which role is offered. */
    public record NewInvitation(
            @NotNull @Pattern(regexp = "grower|foreman|pruner|adviser")
            String role) {}

    /**
     * An invitation.
     *
     * @param state open, taken, withdrawn or over
     * @param takenBy the login of whoever took it; empty while nobody has
     * @param code told once, when it is made; empty otherwise
     */
    public record InvitationLine(
            long id, String role, String madeBy, Instant goodUntil, String state, String takenBy, String code) {}

    /** All there were, the newest first. */
    @GetMapping
    @Transactional(readOnly = true)
    List<InvitationLine> all() {
        return invitations.findAllByOrderByIdDesc().stream()
                .map(one -> line(one, ""))
                .toList();
    }

    /** Makes one. */
    @PostMapping
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    InvitationLine make(@RequestBody @Valid NewInvitation asked) {
        InvitationCode code = InvitationCode.draw();
        Instant now = clock.instant();
        Invitation made = invitations.saveAndFlush(
                new Invitation(code.digest(), Role.of(asked.role()), SignedIn.name(), now, now.plus(GOOD_FOR)));
        return line(made, code.text());
    }

    /** Makes one worthless. */
    @DeleteMapping("/{id}")
    @Transactional
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@PathVariable long id) {
        if (invitations.withdraw(id) == 0) {
            throw new NotFound("invitation", id);
        }
    }

    private InvitationLine line(Invitation one, String code) {
        String state = one.usedBy() != null
                ? "taken"
                : one.withdrawn() ? "withdrawn" : one.goodUntil().isAfter(clock.instant()) ? "open" : "over";
        return new InvitationLine(
                one.id(),
                one.role().word(),
                one.madeBy(),
                one.goodUntil(),
                state,
                one.usedBy() == null ? "" : one.usedBy(),
                code);
    }
}
