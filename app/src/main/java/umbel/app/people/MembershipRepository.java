package umbel.app.people;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** In which farms somebody has a role. Asked across all farms: see {@link Memberships}. */
interface MembershipRepository extends Repository<Person, Long> {

    String OF_A_LOGIN = """
            select new umbel.app.people.Membership(
                a.login, a.signInEpoch, a.founder, f.id, f.code, f.name, p.role, p.name, p.language)
            from Person p join p.account a join Farm f on f.id = p.farm
            where a.login = :login and p.maySignIn = true
            """;

    /** All of somebody's, the one they joined first being the first. */
    @Query(OF_A_LOGIN + " order by p.id")
    List<Membership> allOf(String login);

    @Query(OF_A_LOGIN + " and f.code = :code")
    Optional<Membership> in(String login, String code);

    /** The one they joined first. */
    @Query(OF_A_LOGIN + " order by p.id limit 1")
    Optional<Membership> firstOf(String login);
}
