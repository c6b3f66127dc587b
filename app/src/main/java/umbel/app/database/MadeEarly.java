package umbel.app.database;

import org.springframework.beans.factory.aot.BeanRegistrationExcludeFilter;
import org.springframework.beans.factory.support.RegisteredBean;

/** Leaves what {@link EarlyDatabase} makes at the start out of what the build works out. */
final class MadeEarly implements BeanRegistrationExcludeFilter {

    @Override
    public boolean isExcludedFromAotProcessing(RegisteredBean bean) {
        return EarlyDatabase.MADE.containsKey(bean.getBeanName());
    }
}
