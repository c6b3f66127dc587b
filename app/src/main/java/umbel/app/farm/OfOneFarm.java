package umbel.app.farm;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import org.hibernate.annotations.TenantId;

/**
 * What belongs to one farm. The number of the farm is written when it is saved, and added to the condition of every question that is
 * asked of the database, by Hibernate; nothing that uses an entity has to think of it.
 */
@MappedSuperclass
public abstract class OfOneFarm {

    @TenantId
    @Column(name = "farm_id")
    private Long farm;

    /** The number of the farm it belongs to. */
    public Long farm() {
        return farm;
    }
}
