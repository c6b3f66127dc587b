package umbel.app.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
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
import umbel.app.farm.Farm;
import umbel.app.farm.FarmAddress;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;

/** Signing in and out, and the first account of all. */
@RestController
@RequestMapping("/api/session")
class SessionController {

    private static final String FIRST = "first account";
    private static final String INVITED = "invitation";
    private static final int SHORTEST_PASSWORD = 10;

    private final AccountRepository accounts;
    private final Memberships memberships;
    private final Joining joining;
    private final Farms farms;
    private final PasswordEncoder passwords;
    private final SecurityContextRepository sessions;
    private final SignInAttempts attempts;
    private final FirstAccountCode code;
    private final boolean openDemo;
    private final String nobodysHash;

    SessionController(
            AccountRepository accounts,
            Memberships memberships,
            Joining joining,
            Farms farms,
            PasswordEncoder passwords,
            SecurityContextRepository sessions,
            SignInAttempts attempts,
            FirstAccountCode code,
            UmbelSettings settings,
            @Value("${server.address:127.0.0.1}") String address) {
        this.accounts = accounts;
        this.memberships = memberships;
        this.joining = joining;
        this.farms = farms;
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

    /** What is needed to take a role by an invitation: its code, and unless one is signed in, an account that there is or a new one. */
    public record Join(
            @NotBlank @Size(max = 40) String code,
            @Size(max = 120) String name,
            @Size(max = 60) String login,
            @Size(max = 200) String password) {}

    /**
     * Who is here.
     *
     * @param state signed-in, signed-out, first-account or demo
     * @param login what they sign in with; empty when signed out and in the demo
     * @param role grower, foreman, pruner or adviser, in the farm that is asked in; empty when signed out
     * @param codeNeeded whether the first account asks for the code printed at the start
     * @param farm the code of that farm; empty when signed out
     * @param farmName what it is called; empty where it was never named
     * @param farms in how many farms they have a role
     * @param keeper whether they keep this installation: add farms, back everything up
     */
    public record WhoIsHere(
            String state,
            String login,
            String name,
            String role,
            String language,
            boolean codeNeeded,
            String farm,
            String farmName,
            int farms,
            boolean keeper) {

        static WhoIsHere nobody(String state, boolean codeNeeded) {
            return new WhoIsHere(state, "", "", "", "en", codeNeeded, "", "", 0, false);
        }
    }

    /** Who is signed in, and whether anybody can be. */
    @GetMapping
    WhoIsHere who(HttpServletRequest request) {
        if (openDemo) {
            Farm farm = farms.current();
            return new WhoIsHere(
                    "demo",
                    "",
                    "Demo",
                    Role.GROWER.word(),
                    "en",
                    false,
                    farm.code(),
                    farm.name(),
                    (int) farms.count(),
                    true);
        }
        if (accounts.count() == 0) {
            return WhoIsHere.nobody("first-account", code.needed());
        }
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        if (now == null || now instanceof AnonymousAuthenticationToken) {
            return WhoIsHere.nobody("signed-out", false);
        }
        return memberships
                .of(now.getName(), FarmAddress.of(request))
                .map(this::here)
                .orElse(WhoIsHere.nobody("signed-out", false));
    }

    private WhoIsHere here(Membership one) {
        return new WhoIsHere(
                "signed-in",
                one.login(),
                one.name(),
                one.role(),
                one.language(),
                false,
                one.farmCode(),
                one.farmName(),
                memberships.of(one.login()).size(),
                memberships.isKeeper(one));
    }

    /** Signs somebody in. */
    @PostMapping
    public WhoIsHere signIn(
            @RequestBody @Valid SignIn asked, HttpServletRequest request, HttpServletResponse response) {
        String login = asked.login().strip();
        attempts.check(request.getRemoteAddr(), login);
        Optional<Membership> first = memberships.of(login, Optional.empty());
        String hash = accounts.findByLogin(login).map(Account::passwordHash).orElse(nobodysHash);
        // a password is hashed in any case, so that the time it takes does not tell which logins there are
        boolean right = passwords.matches(asked.password(), hash);
        if (first.isEmpty() || !right) {
            attempts.failed(request.getRemoteAddr(), login);
            throw new Refused(HttpStatus.UNAUTHORIZED, Statement.of("problem.wrong-password"));
        }
        attempts.succeeded(request.getRemoteAddr(), login);
        enter(memberships.of(login, FarmAddress.of(request)).orElse(first.get()), request, response);
        return who(request);
    }

    /** Makes the grower's account; only while there is no account at all. */
    @PostMapping("/first")
    @ResponseStatus(HttpStatus.CREATED)
    public WhoIsHere first(
            @RequestBody @Valid FirstAccount asked, HttpServletRequest request, HttpServletResponse response) {
        attempts.check(request.getRemoteAddr(), FIRST);
        if (openDemo || accounts.count() > 0) {
            throw madeAlready();
        }
        if (!code.matches(asked.code())) {
            attempts.failed(request.getRemoteAddr(), FIRST);
            throw new Refused(HttpStatus.FORBIDDEN, Statement.of("problem.wrong-code"));
        }
        String login = asked.login().strip();
        try {
            joining.found(asked.name().strip(), login, asked.password());
        } catch (DataIntegrityViolationException e) {
            throw madeAlready(); // by another request at this moment
        }
        enter(memberships.of(login, Optional.empty()).orElseThrow(SessionController::madeAlready), request, response);
        return who(request);
    }

    /** Takes the role that an invitation offers, with the account one is signed in with, another or a new one. */
    @PostMapping("/join")
    @ResponseStatus(HttpStatus.CREATED)
    public WhoIsHere join(@RequestBody @Valid Join asked, HttpServletRequest request, HttpServletResponse response) {
        attempts.check(request.getRemoteAddr(), INVITED);
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        boolean signedIn = now != null && !(now instanceof AnonymousAuthenticationToken);
        String login = signedIn ? now.getName() : text(asked.login());
        String name = signedIn
                ? memberships.of(login, Optional.empty()).map(Membership::name).orElse(login)
                : text(asked.name());
        if (!signedIn) {
            requireAccount(asked, login, name);
        }
        long farm;
        try {
            farm = joining.join(asked.code(), login, name, signedIn ? null : asked.password());
        } catch (Refused e) {
            attempts.failed(request.getRemoteAddr(), INVITED);
            throw e;
        }
        attempts.succeeded(request.getRemoteAddr(), INVITED);
        Membership joined = memberships.of(login).stream()
                .filter(one -> one.farm() == farm)
                .findFirst()
                .orElseThrow(SessionController::madeAlready);
        enter(joined, request, response);
        return here(joined);
    }

    /** Gives up one's role in this farm. */
    @DeleteMapping("/role")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave() {
        joining.leave(SignedIn.name());
    }

    private static void requireAccount(Join asked, String login, String name) {
        List<FieldError> wrong = new ArrayList<>();
        if (login.isEmpty()) {
            wrong.add(FieldError.of("login", "problem.missing"));
        }
        if (name.isEmpty()) {
            wrong.add(FieldError.of("name", "problem.missing"));
        }
        if (asked.password() == null || asked.password().length() < SHORTEST_PASSWORD) {
            wrong.add(FieldError.of("password", "problem.password-length"));
        }
        if (!wrong.isEmpty()) {
            throw new InvalidSurvey(wrong);
        }
    }

    private static String text(String given) {
        return given == null ? "" : given.strip();
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
        String login = SignedIn.name();
        attempts.check(request.getRemoteAddr(), login);
        Account account = accounts.findByLogin(login)
                .orElseThrow(() -> new Refused(HttpStatus.CONFLICT, Statement.of("problem.no-account")));
        if (!passwords.matches(asked.old(), account.passwordHash())) {
            attempts.failed(request.getRemoteAddr(), login);
            throw new Refused(HttpStatus.FORBIDDEN, Statement.of("problem.other-password"));
        }
        account.password(passwords.encode(asked.password()));
        account.endSessions();
        accounts.saveAndFlush(account);
        request.getSession().setAttribute(SessionGuard.EPOCH, account.signInEpoch());
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

    private void enter(Membership one, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = new SecurityContextImpl(SessionGuard.authentication(one));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, request, response);
        request.getSession().setAttribute(SessionGuard.EPOCH, one.epoch());
        request.setAttribute(AuditFilter.ENTERED, one.farm());
    }
}
