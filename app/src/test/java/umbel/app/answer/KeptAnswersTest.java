package umbel.app.answer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.cache.ProgramDigest;
import umbel.app.reader.Reader;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.text.Speech;
import umbel.text.UnitSystem;

/** An answer is given again only where it would come out the same. */
class KeptAnswersTest {

    private static final int WAIT_MS = 10_000;
    private static final long SURVEY = 31;
    private static final long BLOCK = 7;
    private static final Instant TODAY = Instant.parse("2027-02-03T10:00:00Z");

    /** What is asked, in no order that would be the same at the next start. */
    record Question(Map<String, Integer> wishes) {}

    record Told(String what, int times) {}

    private final KeptAnswerRepository repository = mock(KeptAnswerRepository.class);
    private final BlockState states = mock(BlockState.class);
    private final ProgramDigest program = mock(ProgramDigest.class);
    private final SurveyEntry survey = mock(SurveyEntry.class, RETURNS_DEEP_STUBS);
    private final Map<String, KeptAnswer> rows = new ConcurrentHashMap<>();
    private final AtomicInteger worked = new AtomicInteger();
    private final KeptAnswers kept = new KeptAnswers(
            repository,
            states,
            program,
            JsonMapper.builder().build(),
            new TransactionTemplate(mock(PlatformTransactionManager.class)),
            Clock.fixed(TODAY, ZoneOffset.UTC));

    @BeforeEach
    void oneSurvey() {
        when(survey.id()).thenReturn(SURVEY);
        when(survey.tree().block().id()).thenReturn(BLOCK);
        when(states.now(BLOCK)).thenReturn("a state");
        when(states.digest(anyString())).thenAnswer(asked -> "digest of " + asked.getArgument(0));
        when(program.whole()).thenReturn("this version");
        when(repository.findBySurveyIdAndKindAndLanguageAndUnits(anyLong(), anyString(), anyString(), anyString()))
                .thenAnswer(asked -> Optional.ofNullable(
                        rows.get(List.of(asked.getArguments()).toString())));
    }

    @AfterEach
    void end() {
        kept.end();
    }

    private String ask(AnswerKind kind, Map<String, Integer> wishes) {
        return kept.of(
                        survey,
                        kind,
                        new Question(wishes),
                        () -> new Told("a \"pear\"\nin two lines", worked.incrementAndGet()))
                .json();
    }

    /** Asks in English, and waits until the answer is kept; no other is kept afterwards. */
    private String askAndKeep(AnswerKind kind) {
        String key = List.of(SURVEY, kind, "en", "METRIC").toString();
        when(repository.save(any())).thenAnswer(asked -> rows.putIfAbsent(key, asked.getArgument(0)));
        String answer = ask(kind, Map.of("height", 3, "light", 2));
        verify(repository, timeout(WAIT_MS)).save(any());
        return answer;
    }

    @Test
    void theSameQuestionIsAnsweredByWhatIsKept() {
        String first = askAndKeep(AnswerKind.FIRST_PLAN);
        assertThat(first).isEqualTo("{\"what\":\"a \\\"pear\\\"\\nin two lines\",\"times\":1}");
        assertThat(ask(AnswerKind.FIRST_PLAN, new HashMap<>(Map.of("light", 2, "height", 3))))
                .isEqualTo(first);
        assertThat(worked).hasValue(1);
    }

    @Test
    void anythingElseIsWorkedOut() {
        askAndKeep(AnswerKind.FIRST_PLAN);
        ask(AnswerKind.FIRST_PLAN, Map.of("height", 4, "light", 2));
        assertThat(worked).as("another question").hasValue(2);
        ask(AnswerKind.PAGE, Map.of("height", 3, "light", 2));
        assertThat(worked).as("another kind").hasValue(3);
        Reader.answering(
                Speech.of("es", UnitSystem.METRIC), () -> ask(AnswerKind.FIRST_PLAN, Map.of("height", 3, "light", 2)));
        assertThat(worked).as("another language").hasValue(4);
        Reader.answering(
                Speech.of("en", UnitSystem.US), () -> ask(AnswerKind.FIRST_PLAN, Map.of("height", 3, "light", 2)));
        assertThat(worked).as("other units").hasValue(5);
        when(states.now(BLOCK)).thenReturn("a later state");
        ask(AnswerKind.FIRST_PLAN, Map.of("height", 3, "light", 2));
        assertThat(worked).as("more known of the block").hasValue(6);
        when(states.now(BLOCK)).thenReturn("a state");
        when(program.whole()).thenReturn("the next version");
        ask(AnswerKind.FIRST_PLAN, Map.of("height", 3, "light", 2));
        assertThat(worked).as("another version").hasValue(7);
    }

    @Test
    void whatCannotBeReadIsWorkedOutAgain() throws ReflectiveOperationException {
        askAndKeep(AnswerKind.FIRST_PLAN);
        var document = KeptAnswer.class.getDeclaredField("document");
        document.setAccessible(true);
        document.set(rows.values().iterator().next(), "not packed at all");
        assertThat(ask(AnswerKind.FIRST_PLAN, Map.of("height", 3, "light", 2))).contains("\"times\":2");
    }

    @Test
    void whereThereIsNoMoreRoomThoseGoThatNobodyAskedForTheLongest() {
        when(repository.taken()).thenReturn(KeptAnswers.ROOM + 1500);
        when(repository.tellSizes())
                .thenReturn(List.of(new AnswerSize(5, 1000), new AnswerSize(9, 1000), new AnswerSize(2, 1000)));
        askAndKeep(AnswerKind.FIRST_PLAN);
        verify(repository, timeout(WAIT_MS)).deleteAllByIdInBatch(List.of(5L, 9L));
    }

    @Test
    void aheadIsLessKeptThanOnRequest() {
        when(repository.taken()).thenReturn(KeptAnswers.ROOM / 2);
        assertThat(kept.hasRoomAhead()).isTrue();
        when(repository.taken()).thenReturn(KeptAnswers.ROOM - 1);
        assertThat(kept.hasRoomAhead()).isFalse();
        verify(repository, never()).deleteAllByIdInBatch(any());
    }

    @Test
    void aheadIsAnsweredAsPeopleWereAnswered() {
        assertThat(kept.speeches()).containsExactly(Speech.english());
        when(repository.tellSpeeches()).thenReturn(List.of(new SpeechUsed("es", "US")));
        assertThat(kept.speeches()).containsExactly(Speech.of("es", UnitSystem.US));
    }

    @Test
    void whatIsAskedForNextIsWorkedOutBehindAnAnswerThatWasKept() throws InterruptedException {
        CountDownLatch behind = new CountDownLatch(1);
        askAndKeep(AnswerKind.FIRST_PLAN);
        List<String> parts = kept.parts(
                survey,
                AnswerKind.FIRST_PLAN,
                new Question(Map.of("height", 3, "light", 2)),
                List::of,
                behind::countDown);
        assertThat(parts).hasSize(1);
        assertThat(behind.await(WAIT_MS, TimeUnit.MILLISECONDS)).isTrue();
    }

    @Test
    void thatItIsAskedForIsNotedOnceADay() {
        askAndKeep(AnswerKind.FIRST_PLAN);
        KeptAnswer row = rows.values().iterator().next();
        assertThat(row.askedOn()).isEqualTo(LocalDate.of(2027, 2, 3));
        row.askedAgain(LocalDate.of(2027, 2, 1));
        ask(AnswerKind.FIRST_PLAN, Map.of("height", 3, "light", 2));
        long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(WAIT_MS);
        while (!row.askedOn().equals(LocalDate.of(2027, 2, 3)) && System.nanoTime() < end) {
            Thread.onSpinWait();
        }
        assertThat(row.askedOn()).isEqualTo(LocalDate.of(2027, 2, 3));
    }
}
