package umbel.app.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.LongStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.cache.ProgramDigest;
import umbel.app.farm.FarmScope;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.plant.Plant;
import umbel.plant.SurveyedTree;
import umbel.practice.PracticeTree;
import umbel.reading.Neighbours;

/** A list of trees does not wait until thousands of new surveys are read. */
class GlancesTest {

    private static final List<Long> SURVEYS = LongStream.range(0, 60).boxed().toList();
    private static final long A_READING_MS = 100;
    private static final int MOST_LOOKS = 300;
    private static final long BROKEN = 4711;

    private final AtomicInteger read = new AtomicInteger();
    private final AtomicInteger broken = new AtomicInteger();
    private final Plant plant = SurveyedTree.read(
            new Assessor(Knowledge.shipped()),
            AssessRequest.of(PracticeTree.survey("tall-spindle", 6, 1)),
            Neighbours.NONE);
    private final Glances glances = new Glances(
            mock(GlanceRepository.class),
            surveys(),
            readings(),
            mock(ProgramDigest.class),
            mock(TransactionTemplate.class));

    private static SurveyRepository surveys() {
        SurveyRepository surveys = mock(SurveyRepository.class);
        when(surveys.findWithTrees(any()))
                .thenAnswer(asked -> asked.<Collection<Long>>getArgument(0).stream()
                        .map(GlancesTest::survey)
                        .toList());
        return surveys;
    }

    private static SurveyEntry survey(long id) {
        SurveyEntry survey = mock(SurveyEntry.class);
        when(survey.id()).thenReturn(id);
        return survey;
    }

    private TreeReadings readings() {
        TreeReadings readings = mock(TreeReadings.class);
        when(readings.plant(any())).thenAnswer(asked -> {
            if (asked.<SurveyEntry>getArgument(0).id() == BROKEN) {
                broken.incrementAndGet();
                throw new IllegalStateException("made up");
            }
            Thread.sleep(A_READING_MS);
            read.incrementAndGet();
            return plant;
        });
        return readings;
    }

    @AfterEach
    void end() {
        glances.end();
    }

    @Test
    void whatIsNotReadInAMomentIsReadAfterwardsAndOnce() throws InterruptedException {
        long begun = System.nanoTime();
        assertThat(atAGlance()).isBetween(1, SURVEYS.size() - 1);
        assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(5));
        assertThat(atAGlance()).as("nobody waits for what is begun").isLessThan(SURVEYS.size());
        for (int looks = 0; looks < MOST_LOOKS && atAGlance() < SURVEYS.size(); looks++) {
            Thread.sleep(A_READING_MS);
        }
        assertThat(atAGlance()).isEqualTo(SURVEYS.size());
        assertThat(read).hasValue(SURVEYS.size());
    }

    @Test
    void aSurveyThatCannotBeReadIsToldAndNotTriedAgain() {
        List<Long> few = List.of(1L, BROKEN, 2L);
        for (int looks = 0; looks < 3; looks++) {
            Map<Long, Glance> told = FarmScope.in(1, () -> glances.of(few));
            assertThat(told).containsOnlyKeys(1L, BROKEN, 2L).containsEntry(BROKEN, Glance.UNREADABLE);
        }
        assertThat(broken).hasValue(1);
    }

    private int atAGlance() {
        return FarmScope.in(1, () -> glances.of(SURVEYS).size());
    }
}
