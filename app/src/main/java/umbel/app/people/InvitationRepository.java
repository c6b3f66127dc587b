package umbel.app.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The invitations of a farm. */
interface InvitationRepository extends JpaRepository<Invitation, Long> {

    List<Invitation> findAllByOrderByIdDesc();

    Optional<Invitation> findByCodeHash(String hash);

    /** Takes an invitation; 0 where it was taken, withdrawn or too old before. */
    @Modifying
    @Query("update Invitation i set i.usedBy = :login where i.id = :id and i.usedBy is null and i.withdrawn = false"
            + " and i.goodUntil > :now")
    int take(long id, String login, Instant now);

    /** Makes one worthless that nobody has taken. */
    @Modifying
    @Query("update Invitation i set i.withdrawn = true where i.id = :id and i.usedBy is null")
    int withdraw(long id);
}
