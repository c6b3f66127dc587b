package umbel.app.farm;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/**
 * One grower's business: its people, holdings, trees, keys and records, kept apart from those of every other farm of this installation.
 */
@Entity
public class Farm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String code;
    private String name;
    private Instant madeAt;
    private boolean plansAtNight = true;

    protected Farm() {}

    Farm(String code, String name, Instant madeAt) {
        this.code = code;
        this.name = name;
        this.madeAt = madeAt;
    }

    public Long id() {
        return id;
    }

    /** What stands for it in addresses: letters and digits that tell nothing of it. */
    public String code() {
        return code;
    }

    public String name() {
        return name;
    }

    /** Whether its trees are planned anew every night, where something has changed. */
    public boolean plansAtNight() {
        return plansAtNight;
    }

    void plansAtNight(boolean does) {
        plansAtNight = does;
    }

    /** Gives it another name. */
    public void rename(String newName) {
        name = newName;
    }
}
