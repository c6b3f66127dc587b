package umbel.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;

/** Lets whoever has its code take a role in a farm, once; the code itself is not kept. */
@Entity
class Invitation extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String codeHash;
    private String role;
    private String madeBy;
    private Instant madeAt;
    private Instant goodUntil;
    private String usedBy;
    private boolean withdrawn;

    protected Invitation() {}

    Invitation(String codeHash, Role role, String madeBy, Instant madeAt, Instant goodUntil) {
        this.codeHash = codeHash;
        this.role = role.word();
        this.madeBy = madeBy;
        this.madeAt = madeAt;
        this.goodUntil = goodUntil;
    }

    Long id() {
        return id;
    }

    Role role() {
        return Role.of(role);
    }

    String madeBy() {
        return madeBy;
    }

    Instant madeAt() {
        return madeAt;
    }

    Instant goodUntil() {
        return goodUntil;
    }

    /** The login of whoever took it; null while nobody has. */
    String usedBy() {
        return usedBy;
    }

    boolean withdrawn() {
        return withdrawn;
    }
}
