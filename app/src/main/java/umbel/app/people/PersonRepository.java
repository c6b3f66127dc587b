package umbel.app.people;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Everybody who works or worked here, or signs in. */
public interface PersonRepository extends JpaRepository<Person, Long> {

    List<Person> findAllByOrderByNameAsc();

    /** The crew, those no longer working among them. */
    List<Person> findByCrewTrueOrderByNameAsc();

    /** The crew that works now. */
    List<Person> findByCrewTrueAndActiveTrueOrderByNameAsc();

    Optional<Person> findByAccountLogin(String login);

    /** How many with a role may sign in. */
    long countByRoleAndMaySignInTrueAndAccountIsNotNull(String role);

    /** In how many farms an account has a role; asked across all farms. */
    @Query("select count(p) from Person p where p.account.id = :account")
    long countFarmsOf(long account);
}
