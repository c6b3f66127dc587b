package umbel.app.people;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** What people sign in with, whichever farms they work in. */
interface AccountRepository extends JpaRepository<Account, Long> {

    Optional<Account> findByLogin(String login);
}
