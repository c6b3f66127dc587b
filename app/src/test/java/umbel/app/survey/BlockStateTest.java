package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import umbel.app.cache.ProgramDigest;

class BlockStateTest {

    private static final long BLOCK = 7;

    private final EntityManager database = mock(EntityManager.class);
    private final Query query = mock(Query.class);
    private final ProgramDigest program = mock(ProgramDigest.class);
    private final BlockState states = new BlockState(database, program);

    @BeforeEach
    void ask() {
        when(database.createNativeQuery(anyString())).thenReturn(query);
        when(query.setParameter("block", BLOCK)).thenReturn(query);
        when(program.text()).thenReturn("this program");
    }

    private void isKnown(Object... row) {
        when(query.getSingleResult()).thenReturn(row);
    }

    @Test
    void whatIsAddedOrTakenAwayIsAnotherState() {
        isKnown(BLOCK, 3, 12, null);
        String before = states.of(BLOCK);
        assertThat(states.of(BLOCK)).isEqualTo(before);
        isKnown(BLOCK, 3, 13, null);
        assertThat(states.of(BLOCK)).isNotEqualTo(before);
        isKnown(BLOCK, 3, 12, 1);
        assertThat(states.of(BLOCK)).isNotEqualTo(before);
    }

    @Test
    void anotherProgramIsAnotherState() {
        isKnown(BLOCK, 3);
        String before = states.of(BLOCK);
        when(program.text()).thenReturn("the next one");
        assertThat(states.of(BLOCK)).isNotEqualTo(before);
    }

    @Test
    void treesThatFollowEachOtherAskOnce() {
        isKnown(BLOCK, 3);
        String before = states.lately(BLOCK);
        isKnown(BLOCK, 4);
        assertThat(states.lately(BLOCK)).isEqualTo(before);
        states.lookAgain();
        assertThat(states.lately(BLOCK)).isEqualTo(states.of(BLOCK)).isNotEqualTo(before);
    }

    @Test
    void whoeverLooksNowIsNotToldAnEarlierStateAfterwards() {
        isKnown(BLOCK, 3);
        states.lately(BLOCK);
        isKnown(BLOCK, 4);
        String now = states.now(BLOCK);
        assertThat(states.lately(BLOCK)).isEqualTo(now).isEqualTo(states.of(BLOCK));
    }

    /** Others would take it for what is known, and keep under it what they work out without it. */
    @Test
    void whatIsNotCommittedYetIsToldOnlyWithinItsTransaction() {
        isKnown(BLOCK, 3);
        String before = states.lately(BLOCK);
        isKnown(BLOCK, 4);
        TransactionSynchronizationManager.setActualTransactionActive(true);
        try {
            assertThat(states.lately(BLOCK)).isEqualTo(states.of(BLOCK)).isNotEqualTo(before);
        } finally {
            TransactionSynchronizationManager.setActualTransactionActive(false);
        }
        assertThat(states.lately(BLOCK)).isEqualTo(before);
    }
}
