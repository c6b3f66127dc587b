package umbel.app.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.UmbelSettings;
import umbel.app.http.Refused;

/** Signing in and out, and the first account of all. */
@RestController
@RequestMapping("/api/session")
class SessionController {

    private static final int MOST_FAILURES = 5;
    private static final Duration PAUSE = Duration.ofMinutes(15);

    private final PersonRepository people;
    private final PasswordEncoder passwords;
    private final SecurityContextRepository sessions;
    private final Clock clock;
    private final boolean openDemo;

    SessionController(
            PersonRepository people,
            PasswordEncoder passwords,
            SecurityContextRepository sessions,
            Clock clock,
            UmbelSettings settings,
            @Value("${server.address:127.0.0.1}") String address) {
        this.people = people;
        this.passwords = passwords;
        this.sessions = sessions;
        this.clock = clock;
        this.openDemo = Security.openDemo(settings, address);
    }

    /** A login and its password. */
    public record SignIn(
            @NotBlank(message = "Say the login.") @Size(max = 60, message = "At most 60 characters.")
            String login,

            @NotBlank(message = "Say the password.") @Size(max = 200, message = "At most 200 characters.")
            String password) {}

    /** The grower's account, made when there is none yet. */
    public record FirstAccount(
            @NotBlank(message = "Say your name.") @Size(max = 120, message = "At most 120 characters.")
            String name,

            @NotBlank(message = "Choose a login.") @Size(max = 60, message = "At most 60 characters.")
            String login,

            @NotBlank(message = "Choose a password.")
            @Size(min = 10, max = 200, message = "A password has at least 10 characters.")
            String password) {}

    /**
     * Who is here.
     *
     * @param state signed-in, signed-out, first-account or demo
     * @param role grower, foreman, pruner or adviser; empty when signed out
     */
    public record WhoIsHere(String state, String name, String role, String language) {}

    /** Who is signed in, and whether anybody can be. */
    @GetMapping
    @Transactional(readOnly = true)
    WhoIsHere who() {
        if (openDemo) {
            return new WhoIsHere("demo", "Demo", Role.GROWER.word(), "en");
        }
        if (!people.existsByLoginIsNotNull()) {
            return new WhoIsHere("first-account", "", "", "en");
        }
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        if (now == null || now instanceof AnonymousAuthenticationToken) {
            return new WhoIsHere("signed-out", "", "", "en");
        }
        return people.findByLogin(now.getName())
                .map(one -> new WhoIsHere("signed-in", one.name(), one.role().word(), one.language()))
                .orElse(new WhoIsHere("signed-out", "", "", "en"));
    }

    /** Signs somebody in. After five wrong passwords the login rests for a quarter of an hour. */
    @PostMapping
    @Transactional(noRollbackFor = Refused.class)
    public WhoIsHere signIn(
            @RequestBody @Valid SignIn asked, HttpServletRequest request, HttpServletResponse response) {
        Person person = people.findByLogin(asked.login().strip()).orElse(null);
        if (person == null || !person.active() || person.passwordHash() == null) {
            passwords.encode(asked.password());
            throw new Refused(HttpStatus.UNAUTHORIZED, "Not signed in", "The login or the password is wrong.");
        }
        if (person.locked(clock.instant())) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Not now",
                    "Too many wrong passwords. This login rests for a quarter of an hour; the grower can set a new password.");
        }
        if (!passwords.matches(asked.password(), person.passwordHash())) {
            person.failed(clock.instant(), MOST_FAILURES, PAUSE);
            people.saveAndFlush(person);
            throw new Refused(HttpStatus.UNAUTHORIZED, "Not signed in", "The login or the password is wrong.");
        }
        person.signedIn();
        people.saveAndFlush(person);
        enter(person, request, response);
        return who();
    }

    /** Makes the grower's account; only while there is no account at all. */
    @PostMapping("/first")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    public WhoIsHere first(
            @RequestBody @Valid FirstAccount asked, HttpServletRequest request, HttpServletResponse response) {
        if (openDemo || people.existsByLoginIsNotNull()) {
            throw new Refused(
                    HttpStatus.CONFLICT, "There is an account", "The first account was made already. Sign in.");
        }
        Person grower = new Person(asked.name().strip(), "en", 6, false, false);
        grower.account(asked.login().strip(), passwords.encode(asked.password()), Role.GROWER);
        people.saveAndFlush(grower);
        enter(grower, request, response);
        return who();
    }

    /** A new password of one's own, and the one it replaces. */
    public record NewPassword(
            @NotBlank(message = "Say the password you have.") @Size(max = 200, message = "At most 200 characters.")
            String old,

            @NotBlank(message = "Choose a password.")
            @Size(min = 10, max = 200, message = "A password has at least 10 characters.")
            String password) {}

    /** Changes one's own password; wrong guesses of the old one count like wrong passwords at the door. */
    @PutMapping("/password")
    @Transactional(noRollbackFor = Refused.class)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void change(@RequestBody @Valid NewPassword asked) {
        String login = SecurityContextHolder.getContext().getAuthentication().getName();
        Person person = people.findByLogin(login)
                .orElseThrow(() -> new Refused(HttpStatus.CONFLICT, "No account", "There is no account to change."));
        boolean right = !person.locked(clock.instant()) && passwords.matches(asked.old(), person.passwordHash());
        if (!right) {
            person.failed(clock.instant(), MOST_FAILURES, PAUSE);
            people.saveAndFlush(person);
            throw new Refused(HttpStatus.FORBIDDEN, "Not changed", "The password you have is another.");
        }
        person.account(person.login(), passwords.encode(asked.password()), person.role());
        people.saveAndFlush(person);
    }

    /** Signs out. */
    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    private void enter(Person person, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                person.login(),
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + person.role().name()))));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
    }
}
