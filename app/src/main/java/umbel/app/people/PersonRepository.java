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

    Optional<Person> findByLogin(String login);

    boolean existsByLoginIsNotNull();

    /** How many with a role may sign in. */
    long countByRoleAndMaySignInTrueAndLoginIsNotNull(String role);

    /** The epoch of a login's rights; empty where it lets nobody in. */
    @Query("select p.signInEpoch from Person p where p.login = :login and p.maySignIn = true")
    Optional<Long> findEpochOf(String login);
}
