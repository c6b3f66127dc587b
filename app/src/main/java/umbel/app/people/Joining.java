package umbel.app.people;

import java.time.Clock;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.text.Statement;

/** How somebody comes to have a role in a farm, and gives it up. */
@Service
class Joining {

    private final AccountRepository accounts;
    private final PersonRepository people;
    private final InvitationRepository invitations;
    private final Farms farms;
    private final PasswordEncoder passwords;
    private final TransactionTemplate transactions;
    private final Clock clock;

    Joining(
            AccountRepository accounts,
            PersonRepository people,
            InvitationRepository invitations,
            Farms farms,
            PasswordEncoder passwords,
            TransactionTemplate transactions,
            Clock clock) {
        this.accounts = accounts;
        this.people = people;
        this.invitations = invitations;
        this.farms = farms;
        this.passwords = passwords;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** Makes the first account of all, the grower's of the first farm; its owner keeps this installation. */
    void found(String name, String login, String password) {
        FarmScope.run(
                farms.numberOfFirst(),
                () -> transactions.executeWithoutResult(status -> {
                    Account account = new Account(login, passwords.encode(password));
                    account.found();
                    accounts.saveAndFlush(account);
                    become(account, name, Role.GROWER);
                }));
    }

    /** Makes somebody with an account the grower of a farm. */
    void settle(long farm, String login, String name) {
        FarmScope.run(
                farm,
                () -> transactions.executeWithoutResult(
                        status -> accounts.findByLogin(login).ifPresent(one -> become(one, name, Role.GROWER))));
    }

    /** Takes a farm away to which nothing but its grower belongs. */
    void removeEmpty(long farm) {
        FarmScope.run(
                farm,
                () -> transactions.executeWithoutResult(status -> {
                    people.deleteAll();
                    people.flush();
                    farms.remove(farm);
                }));
    }

    /**
     * Takes the role that an invitation offers; gives the number of the farm.
     *
     * @param login what they sign in with, or will
     * @param name what they are called; needed where there is no such account yet
     * @param password theirs already, or a new one; null where they are signed in
     * @throws Refused where the code is worthless, or the account not theirs
     */
    long join(String code, String login, String name, String password) {
        Invitation invitation = FarmScope.acrossFarms(
                        () -> invitations.findByCodeHash(new InvitationCode(code).digest()))
                .orElseThrow(Joining::worthless);
        FarmScope.run(
                invitation.farm(),
                () -> transactions.executeWithoutResult(status -> {
                    Optional<Account> there = accounts.findByLogin(login);
                    if (password != null
                            && there.isPresent()
                            && !passwords.matches(password, there.get().passwordHash())) {
                        throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.login-not-free"));
                    }
                    if (people.findByAccountLogin(login)
                            .filter(Person::maySignIn)
                            .isPresent()) {
                        throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.joined-already"));
                    }
                    if (invitations.take(invitation.id(), login, clock.instant()) == 0) {
                        throw worthless();
                    }
                    Account account = there.orElseGet(
                            () -> accounts.saveAndFlush(new Account(login, passwords.encode(password))));
                    become(account, name, invitation.role());
                }));
        return invitation.farm();
    }

    /** Gives up one's role in the farm of this request. */
    void leave(String login) {
        transactions.executeWithoutResult(status -> {
            Person person = people.findByAccountLogin(login)
                    .orElseThrow(() -> new Refused(HttpStatus.CONFLICT, Statement.of("problem.no-account")));
            boolean last = person.role() == Role.GROWER
                    && people.countByRoleAndMaySignInTrueAndAccountIsNotNull(Role.GROWER.word()) <= 1;
            if (last) {
                throw new Refused(HttpStatus.CONFLICT, Statement.of("problem.last-grower"));
            }
            person.leave();
            people.saveAndFlush(person);
        });
    }

    /** Somebody who was here before comes back as the same person. */
    private void become(Account account, String name, Role role) {
        Person person = people.findByAccountLogin(account.login()).orElseGet(() -> Person.withoutCrewWork(name, "en"));
        person.join(account, role);
        people.saveAndFlush(person);
    }

    private static Refused worthless() {
        return new Refused(HttpStatus.CONFLICT, Statement.of("problem.invitation-worthless"));
    }
}
