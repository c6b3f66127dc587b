package umbel.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;

/** A key another program shows to have trees assessed; the key itself is not kept. */
@Entity
class AccessKey extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private String keyHash;
    private String madeBy;
    private Instant madeAt;
    private Instant lastUsed;
    private boolean revoked;

    protected AccessKey() {}

    AccessKey(String name, String keyHash, String madeBy, Instant madeAt) {
        this.name = name;
        this.keyHash = keyHash;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    Long id() {
        return id;
    }

    String name() {
        return name;
    }

    String madeBy() {
        return madeBy;
    }

    Instant madeAt() {
        return madeAt;
    }

    Instant lastUsed() {
        return lastUsed;
    }

    boolean revoked() {
        return revoked;
    }
}
