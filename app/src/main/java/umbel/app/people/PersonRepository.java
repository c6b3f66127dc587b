package umbel.app.people;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Everybody who works or worked here. */
public interface PersonRepository extends JpaRepository<Person, Long> {

    List<Person> findAllByOrderByNameAsc();

    List<Person> findByActiveTrueOrderByNameAsc();

    Optional<Person> findByLogin(String login);

    boolean existsByLoginIsNotNull();

    long countByRoleAndActiveTrueAndLoginIsNotNull(String role);
}
