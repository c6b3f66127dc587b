package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;

import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.index.CandidateComponentsIndex;
import org.springframework.context.index.CandidateComponentsIndexLoader;
import org.springframework.data.repository.Repository;
import org.springframework.orm.jpa.LocalContainerEntityManagerFactoryBean;
import umbel.app.RunningUmbel;

/** A start is a third longer without each of these, and nothing else tells. */
@ExtendWith(RunningUmbel.class)
class ReadyBesideTest {

    private final RunningUmbel umbel;

    ReadyBesideTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    @Test
    void theDatabaseIsMadeReadyBesideTheRestOfTheStart() {
        LocalContainerEntityManagerFactoryBean managers = umbel.part(LocalContainerEntityManagerFactoryBean.class);
        assertThat(managers).isInstanceOf(EarlyEntityManagers.class);
        assertThat(managers.getBootstrapExecutor()).isNotNull();
        assertThat(umbel.part(Flyway.class)).isSameAs(((EarlyEntityManagers) managers).migrated());
    }

    @Test
    void partsAreFoundByAnIndexThatTheBuildWrites() {
        CandidateComponentsIndex index =
                CandidateComponentsIndexLoader.loadIndex(getClass().getClassLoader());
        assertThat(index).isNotNull();
        assertThat(index.getCandidateTypes("umbel.app", Repository.class.getName()))
                .hasSizeGreaterThan(20);
    }

    @Test
    void everyQuestionInHibernatesWordsIsTakenApartBeforehand() {
        LocalContainerEntityManagerFactoryBean managers = umbel.part(LocalContainerEntityManagerFactoryBean.class);
        assertThat(Questions.prepare(managers.getNativeEntityManagerFactory(), "umbel.app"))
                .isGreaterThan(40);
    }
}
