package umbel.app.farm;

import org.hibernate.context.spi.CurrentTenantIdentifierResolver;

/** Tells Hibernate, which makes it by the name in the settings, whose rows it may read and write: those of the farm the thread works for. */
public final class FarmsApart implements CurrentTenantIdentifierResolver<Long> {

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
