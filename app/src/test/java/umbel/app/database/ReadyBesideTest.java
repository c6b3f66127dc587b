package umbel.app.database;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.orm.jpa.LocalContainerEntityManagerFactoryBean;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class ReadyBesideTest {

    private final RunningUmbel umbel;

    ReadyBesideTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    /** A start is a tenth longer without it, and nothing else tells. */
    @Test
    void theDatabaseIsMadeReadyBesideTheRestOfTheStart() {
        assertThat(umbel.part(LocalContainerEntityManagerFactoryBean.class).getBootstrapExecutor())
                .isNotNull();
    }
}
