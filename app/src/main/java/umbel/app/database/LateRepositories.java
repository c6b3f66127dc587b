package umbel.app.database;

import org.springframework.beans.factory.config.DependencyDescriptor;
import org.springframework.context.annotation.ContextAnnotationAutowireCandidateResolver;
import org.springframework.data.repository.Repository;

/**
 * Has what asks the database made when it is first used. Spring Data's own setting for that has no effect on a program that is put
 * together from what the build worked out: its start would take every question apart.
 */
final class LateRepositories extends ContextAnnotationAutowireCandidateResolver {

    @Override
    protected boolean isLazy(DependencyDescriptor wanted) {
        return Repository.class.isAssignableFrom(wanted.getDependencyType()) || super.isLazy(wanted);
    }
}
