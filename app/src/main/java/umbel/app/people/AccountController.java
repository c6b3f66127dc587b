package umbel.app.people;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.farm.FarmScope;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.text.Statement;
import umbel.text.Value;

/** The grower's own room: who may sign in, which programs may ask, and who changed what. */
@RestController
@RequestMapping("/api")
class AccountController {

    private static final int KEY_BYTES = 24;

    private final PersonRepository people;
    private final AccountRepository accounts;
    private final AccessKeyRepository keys;
    private final AuditRepository trail;
    private final PasswordEncoder passwords;
    private final TransactionTemplate farmless;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    AccountController(
            PersonRepository people,
            AccountRepository accounts,
            AccessKeyRepository keys,
            AuditRepository trail,
            PasswordEncoder passwords,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.people = people;
        this.accounts = accounts;
        this.farmless = new TransactionTemplate(transactions);
        this.farmless.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.keys = keys;
        this.trail = trail;
        this.passwords = passwords;
        this.clock = clock;
    }

    /** An account as it is to be; an empty password leaves the one there is, and what is null stays as it is. */
    public record AccountEntry(
            @NotBlank @Size(max = 60) String login,

            @NotNull @Pattern(regexp = "grower|foreman|pruner|adviser")
            String role,

            @Pattern(regexp = "|.{10,200}", message = "problem.password-length")
            String password,

            Boolean active,
            Boolean crew) {}

    /** A new account of somebody who need not work in the crew. */
    public record NewAccount(
            @NotBlank @Size(max = 120) String name,

            @NotNull @Valid AccountEntry account) {}

    /**
     * Somebody and their account.
     *
     * @param login empty for those who do not sign in
     * @param active whether the login lets them in
     * @param crew whether they work in the crew
     */
    public record AccountLine(long personId, String name, String login, String role, boolean active, boolean crew) {}

    /** A new key's name. */
    public record NewKey(@NotBlank @Size(max = 120) String name) {}

    /** A key; the secret itself is told once, when it is made. */
    public record KeyLine(
            long id, String name, String madeBy, Instant madeAt, Instant lastUsed, boolean revoked, String secret) {}

    /** One change. */
    public record AuditEntry(long id, Instant at, String who, String method, String path, int status) {}

    /** Everybody with what they may do. */
    @GetMapping("/accounts")
    @Transactional(readOnly = true)
    List<AccountLine> accounts() {
        return people.findAllByOrderByNameAsc().stream()
                .map(AccountController::line)
                .toList();
    }

    /** Gives somebody an account, or changes it. There is always one grower left. */
    @PutMapping("/accounts/{personId}")
    @Transactional
    AccountLine account(@PathVariable long personId, @RequestBody @Valid AccountEntry entry) {
        return line(grant(people.findById(personId).orElseThrow(() -> new NotFound("person", personId)), entry));
    }

    /** Makes an account for somebody who is not of the crew. */
    @PostMapping("/accounts")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    AccountLine add(@RequestBody @Valid NewAccount entry) {
        return line(grant(Person.withoutCrewWork(entry.name().strip(), "en"), entry.account()));
    }

    private Person grant(Person person, AccountEntry entry) {
        Role role = Role.of(entry.role());
        boolean letIn = entry.active() == null ? person.maySignIn() : entry.active();
        boolean lastGrower = person.account() != null
                && person.maySignIn()
                && person.role() == Role.GROWER
                && (role != Role.GROWER || !letIn)
                && people.countByRoleAndMaySignInTrueAndAccountIsNotNull(Role.GROWER.word()) <= 1;
        if (lastGrower) {
            throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.last-grower"));
        }
        Account account = signsInWith(person, entry);
        boolean other = person.account() == null;
        if (other) {
            person.join(account, role);
        }
        if (person.may(role, letIn) || other) {
            account.endSessions();
        }
        if (entry.crew() != null) {
            person.crew(entry.crew());
        }
        accounts.saveAndFlush(account);
        return people.saveAndFlush(person);
    }

    /** The account as it is to be: a new one, or the one there is with another login or password. */
    private Account signsInWith(Person person, AccountEntry entry) {
        String login = entry.login().strip();
        String password = entry.password() == null ? "" : entry.password();
        Account account = person.account();
        requireFree(login, account);
        if (account == null) {
            if (password.isEmpty()) {
                throw new Refused(HttpStatus.BAD_REQUEST, Statement.of("problem.password-missing"));
            }
            return accounts.saveAndFlush(new Account(login, passwords.encode(password)));
        }
        boolean renamed = !login.equals(account.login());
        if ((renamed || !password.isEmpty()) && elsewhere(account)) {
            throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.account-their-own"));
        }
        if (renamed) {
            account.rename(login);
            account.endSessions();
        }
        if (!password.isEmpty()) {
            account.password(passwords.encode(password));
            account.endSessions();
        }
        return account;
    }

    /** Whoever has the login is named only where they work in this farm. */
    private void requireFree(String login, Account own) {
        accounts.findByLogin(login)
                .filter(other -> own == null || !other.id().equals(own.id()))
                .ifPresent(other -> {
                    throw new Refused(
                            HttpStatus.CONFLICT,
                            people.findByAccountLogin(login)
                                    .map(one ->
                                            Statement.of("problem.login-taken").with("person", Value.name(one.name())))
                                    .orElse(Statement.of("problem.login-not-free")));
                });
    }

    private boolean elsewhere(Account account) {
        return FarmScope.acrossFarms(() -> farmless.execute(status -> people.countFarmsOf(account.id()))) > 1;
    }

    /** The keys there are. */
    @GetMapping("/keys")
    @Transactional(readOnly = true)
    List<KeyLine> keys() {
        return keys.findAllByOrderByIdAsc().stream().map(key -> line(key, "")).toList();
    }

    /** Makes a key. */
    @PostMapping("/keys")
    @Transactional
    @ResponseStatus(HttpStatus.CREATED)
    KeyLine make(@RequestBody @Valid NewKey asked) {
        byte[] bytes = new byte[KEY_BYTES];
        random.nextBytes(bytes);
        String secret = "umbel_" + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        String by = SecurityContextHolder.getContext().getAuthentication().getName();
        AccessKey key =
                keys.saveAndFlush(new AccessKey(asked.name().strip(), KeyFilter.hash(secret), by, clock.instant()));
        return line(key, secret);
    }

    /** Makes a key worthless. */
    @DeleteMapping("/keys/{id}")
    @Transactional
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@PathVariable long id) {
        if (keys.revoke(id) == 0) {
            throw new NotFound("key", id);
        }
    }

    /** The newest changes. */
    @GetMapping("/audit")
    @Transactional(readOnly = true)
    List<AuditEntry> trail() {
        return trail.findTop200ByOrderByIdDesc().stream()
                .map(one -> new AuditEntry(one.id(), one.at(), one.who(), one.method(), one.path(), one.status()))
                .toList();
    }

    private static AccountLine line(Person person) {
        return new AccountLine(
                person.id(),
                person.name(),
                person.login() == null ? "" : person.login(),
                person.role().word(),
                person.maySignIn(),
                person.crew());
    }

    private static KeyLine line(AccessKey key, String secret) {
        return new KeyLine(key.id(), key.name(), key.madeBy(), key.madeAt(), key.lastUsed(), key.revoked(), secret);
    }
}
