package umbel.app.farm;

import java.util.Map;
import org.hibernate.cfg.MultiTenancySettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.stereotype.Component;

/** Tells Hibernate whose rows it may read and write: those of the farm the thread works for. */
@Component
class FarmsApart implements CurrentTenantIdentifierResolver<Long>, HibernatePropertiesCustomizer {

    @Override
    public void customize(Map<String, Object> properties) {
        properties.put(MultiTenancySettings.MULTI_TENANT_IDENTIFIER_RESOLVER, this);
    }

    @Override
    public Long resolveCurrentTenantIdentifier() {
        return FarmScope.current();
    }

    @Override
    public boolean validateExistingCurrentSessions() {
        return true;
    }

    @Override
    public boolean isRoot(Long farm) {
        return farm == FarmScope.ALL;
    }
}
