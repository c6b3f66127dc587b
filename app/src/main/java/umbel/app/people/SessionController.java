package umbel.app.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataIntegrityViolationException;
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
import umbel.text.Statement;

/** Signing in and out, and the first account of all. */
@RestController
@RequestMapping("/api/session")
class SessionController {

    private static final String FIRST = "first account";

    private final PersonRepository people;
    private final PasswordEncoder passwords;
    private final SecurityContextRepository sessions;
    private final SignInAttempts attempts;
    private final FirstAccountCode code;
    private final boolean openDemo;
    private final String nobodysHash;

    SessionController(
            PersonRepository people,
            PasswordEncoder passwords,
            SecurityContextRepository sessions,
            SignInAttempts attempts,
            FirstAccountCode code,
            UmbelSettings settings,
            @Value("${server.address:127.0.0.1}") String address) {
        this.people = people;
        this.passwords = passwords;
        this.sessions = sessions;
        this.attempts = attempts;
        this.code = code;
        this.nobodysHash = passwords.encode("nobody signs in with this");
        this.openDemo = Security.openDemo(settings, address);
    }

    /** A login and its password. */
    public record SignIn(
            @NotBlank @Size(max = 60) String login,

            @NotBlank @Size(max = 200) String password) {}

    /** The grower's account, made when there is none yet. */
    public record FirstAccount(
            @NotBlank @Size(max = 120) String name,

            @NotBlank @Size(max = 60) String login,

            @NotBlank @Size(min = 10, max = 200, message = "problem.password-length")
            String password,

            @Size(max = 40) String code) {}

    /**
     * Who is here.
     *
     * @param state signed-in, signed-out, first-account or demo
     * @param login what they sign in with; empty when signed out and in the demo
     * @param role grower, foreman, pruner or adviser; empty when signed out
     * @param codeNeeded whether the first account asks for the code printed at the start
     */
    public record WhoIsHere(String state, String login, String name, String role, String language, boolean codeNeeded) {

        static WhoIsHere nobody(String state, boolean codeNeeded) {
            return new WhoIsHere(state, "", "", "", "en", codeNeeded);
        }
    }

    /** Who is signed in, and whether anybody can be. */
    @GetMapping
    @Transactional(readOnly = true)
    WhoIsHere who() {
        if (openDemo) {
            return new WhoIsHere("demo", "", "Demo", Role.GROWER.word(), "en", false);
        }
        if (!people.existsByLoginIsNotNull()) {
            return WhoIsHere.nobody("first-account", code.needed());
        }
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        if (now == null || now instanceof AnonymousAuthenticationToken) {
            return WhoIsHere.nobody("signed-out", false);
        }
        return people.findByLogin(now.getName())
                .map(one -> new WhoIsHere(
                        "signed-in", one.login(), one.name(), one.role().word(), one.language(), false))
                .orElse(WhoIsHere.nobody("signed-out", false));
    }

    /** Signs somebody in. */
    @PostMapping
    @Transactional(readOnly = true)
    public WhoIsHere signIn(
            @RequestBody @Valid SignIn asked, HttpServletRequest request, HttpServletResponse response) {
        String login = asked.login().strip();
        attempts.check(request.getRemoteAddr(), login);
        Person person = people.findByLogin(login)
                .filter(one -> one.maySignIn() && one.passwordHash() != null)
                .orElse(null);
        // a password is hashed in any case, so that the time it takes does not tell which logins there are
        boolean right = passwords.matches(asked.password(), person == null ? nobodysHash : person.passwordHash());
        if (person == null || !right) {
            attempts.failed(request.getRemoteAddr(), login);
            throw new Refused(HttpStatus.UNAUTHORIZED, Statement.of("problem.wrong-password"));
        }
        attempts.succeeded(request.getRemoteAddr(), login);
        enter(person, request, response);
        return who();
    }

    /** Makes the grower's account; only while there is no account at all. */
    @PostMapping("/first")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    public WhoIsHere first(
            @RequestBody @Valid FirstAccount asked, HttpServletRequest request, HttpServletResponse response) {
        attempts.check(request.getRemoteAddr(), FIRST);
        if (openDemo || people.existsByLoginIsNotNull()) {
            throw madeAlready();
        }
        if (!code.matches(asked.code())) {
            attempts.failed(request.getRemoteAddr(), FIRST);
            throw new Refused(HttpStatus.FORBIDDEN, Statement.of("problem.wrong-code"));
        }
        Person grower = Person.withoutCrewWork(asked.name().strip(), "en");
        grower.account(asked.login().strip(), passwords.encode(asked.password()), Role.GROWER, true);
        grower.founder();
        try {
            people.saveAndFlush(grower);
        } catch (DataIntegrityViolationException e) {
            throw madeAlready(); // by another request at this moment
        }
        enter(grower, request, response);
        return who();
    }

    private static Refused madeAlready() {
        return new Refused(HttpStatus.CONFLICT, Statement.of("problem.account-made"));
    }

    /** A new password of one's own, and the one it replaces. */
    public record NewPassword(
            @NotBlank @Size(max = 200) String old,

            @NotBlank @Size(min = 10, max = 200, message = "problem.password-length")
            String password) {}

    /** Changes one's own password; every other session of that login ends. */
    @PutMapping("/password")
    @Transactional
    @ResponseStatus(HttpStatus.NO_CONTENT)
    public void change(@RequestBody @Valid NewPassword asked, HttpServletRequest request) {
        String login = SecurityContextHolder.getContext().getAuthentication().getName();
        attempts.check(request.getRemoteAddr(), login);
        Person person = people.findByLogin(login)
                .orElseThrow(() -> new Refused(HttpStatus.CONFLICT, Statement.of("problem.no-account")));
        if (!passwords.matches(asked.old(), person.passwordHash())) {
            attempts.failed(request.getRemoteAddr(), login);
            throw new Refused(HttpStatus.FORBIDDEN, Statement.of("problem.other-password"));
        }
        person.account(person.login(), passwords.encode(asked.password()), person.role(), true);
        people.saveAndFlush(person);
        request.getSession().setAttribute(SessionGuard.EPOCH, person.signInEpoch());
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
        request.getSession().setAttribute(SessionGuard.EPOCH, person.signInEpoch());
    }
}
