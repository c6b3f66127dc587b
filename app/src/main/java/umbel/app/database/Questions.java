package umbel.app.database;

import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.PersistenceException;
import java.lang.reflect.Method;
import java.util.Optional;
import org.springframework.context.index.CandidateComponentsIndex;
import org.springframework.context.index.CandidateComponentsIndexLoader;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.util.ClassUtils;
import umbel.app.farm.FarmScope;

/** The questions that the parts of the program ask the database, in Hibernate's words. */
final class Questions {

    private static final ClassLoader CLASSES = Questions.class.getClassLoader();

    private Questions() {}

    /**
     * Has Hibernate take them apart and keep what it made of them, for which whoever asks one first would have to wait.
     *
     * @return how many
     */
    static int prepare(EntityManagerFactory managers, String where) {
        return FarmScope.acrossFarms(() -> {
            int prepared = 0;
            try (EntityManager manager = managers.createEntityManager()) {
                for (String repository : Optional.ofNullable(CandidateComponentsIndexLoader.loadIndex(CLASSES))
                        .orElseGet(CandidateComponentsIndex::new)
                        .getCandidateTypes(where, Repository.class.getName())) {
                    for (Method method :
                            ClassUtils.resolveClassName(repository, CLASSES).getDeclaredMethods()) {
                        Query query = method.getAnnotation(Query.class);
                        if (query != null && !query.nativeQuery() && prepared(manager, query.value())) {
                            prepared++;
                        }
                    }
                }
            } catch (IllegalStateException e) {
                return prepared; // the program ends meanwhile
            }
            return prepared;
        });
    }

    private static boolean prepared(EntityManager manager, String question) {
        try {
            manager.createQuery(question);
            return true;
        } catch (IllegalArgumentException | PersistenceException e) {
            return false; // the part that asks it says what is wrong with it
        }
    }
}
