package umbel.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import umbel.app.farm.OfOneFarm;

/** One change: who, when, what. */
@Entity
class AuditLine extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private Instant at;
    private String who;
    private String method;
    private String path;
    private int status;

    protected AuditLine() {}

    AuditLine(Instant at, String who, String method, String path, int status) {
        this.at = at;
        this.who = who;
        this.method = method;
        this.path = path;
        this.status = status;
    }

    Long id() {
        return id;
    }

    Instant at() {
        return at;
    }

    String who() {
        return who;
    }

    String method() {
        return method;
    }

    String path() {
        return path;
    }

    int status() {
        return status;
    }
}
