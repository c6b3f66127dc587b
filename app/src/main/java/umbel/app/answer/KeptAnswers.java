package umbel.app.answer;

import jakarta.annotation.PreDestroy;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.cache.ProgramDigest;
import umbel.app.computing.BackgroundThreads;
import umbel.app.farm.FarmScope;
import umbel.app.reader.Reader;
import umbel.app.survey.BlockState;
import umbel.app.survey.SurveyEntry;
import umbel.text.Speech;

/**
 * Answers about surveyed trees that take long to work out, kept in the database for every node and for the next start. An answer is given
 * again only where it would come out the same: from the same survey and question, to a reader of the same language and units, by the same
 * version of the program, with the same known of its block.
 *
 * <p>Of each kind of answer about a survey the last is kept, and of a farm as many as there is room for.
 */
@Service
public class KeptAnswers {

    private static final Logger LOG = LoggerFactory.getLogger(KeptAnswers.class);

    /** What the answers of a farm may take, characters: a tree's page takes some 120 000, all else about it a tenth of that. */
    static final long ROOM = 32_000_000;

    /** The share of the room that may be taken by answers nobody has asked for yet. */
    private static final double SHARE_AHEAD = 0.75;

    private static final int MOST_BEHIND = 2;

    /** Whoever goes on at once works it out anyway, and not twice. */
    private static final Duration BEHIND = Duration.ofSeconds(1);

    private final KeptAnswerRepository kept;
    private final BlockState states;
    private final ProgramDigest program;
    private final JsonMapper json;
    private final JsonMapper inOrder;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final BackgroundThreads threads = new BackgroundThreads("answer", 1);
    private final AtomicInteger behind = new AtomicInteger();
    private volatile boolean ended;

    KeptAnswers(
            KeptAnswerRepository kept,
            BlockState states,
            ProgramDigest program,
            JsonMapper json,
            TransactionTemplate transactions,
            Clock clock) {
        this.kept = kept;
        this.states = states;
        this.program = program;
        this.json = json;
        this.inOrder = json.rebuild()
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .build();
        this.transactions = transactions;
        this.clock = clock;
    }

    @PreDestroy
    void end() {
        ended = true;
        threads.close();
    }

    /**
     * An answer about a survey, in JSON: the one that is kept, or the one worked out now, which is kept then.
     *
     * @param kind of answer; one of each kind is kept for a survey, a language and a system of units
     * @param asked all else that the answer depends on, which can be written in JSON
     */
    public <T> Written<T> of(SurveyEntry survey, AnswerKind kind, Object asked, Supplier<T> work) {
        return new Written<>(
                parts(survey, kind, asked, () -> List.of(work.get()), () -> {}).get(0));
    }

    /**
     * An answer in several parts, each in JSON.
     *
     * @param afterwards what is worth working out where the answer was kept, since it is likely to be asked for next; in the background, and
     *     not at all where that is busy
     */
    public List<String> parts(
            SurveyEntry survey, AnswerKind kind, Object asked, Supplier<List<?>> work, Runnable afterwards) {
        Speech speech = Reader.speech();
        String basis = basis(survey, kind, asked);
        Optional<List<String>> before = given(survey.id(), kind, speech, basis);
        if (before.isPresent()) {
            behind(afterwards);
            return before.get();
        }
        List<String> parts = work.get().stream().map(json::writeValueAsString).toList();
        long id = survey.id();
        later(() -> keep(id, kind, speech, basis, String.join("\n", parts)));
        return parts;
    }

    /** An answer in JSON that is not kept. */
    public <T> Written<T> written(T answer) {
        return new Written<>(json.writeValueAsString(answer));
    }

    /** The languages and units in which people of the farm were answered; English in metric units where nobody was yet. */
    public List<Speech> speeches() {
        List<Speech> used = kept.tellSpeeches().stream().map(SpeechUsed::speech).toList();
        return used.isEmpty() ? List.of(Speech.english()) : used;
    }

    /** Whether there is room for answers that nobody has asked for yet. */
    public boolean hasRoomAhead() {
        return kept.taken() < ROOM * SHARE_AHEAD;
    }

    private String basis(SurveyEntry survey, AnswerKind kind, Object asked) {
        String state = states.now(survey.tree().block().id());
        return states.digest(String.join("\n", program.whole(), state, kind.name(), inOrder.writeValueAsString(asked)));
    }

    private Optional<List<String>> given(long survey, AnswerKind kind, Speech speech, String basis) {
        try {
            Optional<KeptAnswer> before = find(survey, kind, speech).filter(one -> one.restsOn(basis));
            LocalDate today = LocalDate.now(clock);
            if (before.isPresent() && !before.get().askedOn().equals(today)) {
                later(() -> transactions.executeWithoutResult(
                        status -> find(survey, kind, speech).ifPresent(one -> one.askedAgain(today))));
            }
            return before.map(one -> Arrays.asList(one.json().split("\n")));
        } catch (IllegalArgumentException | UncheckedIOException e) {
            LOG.warn("The answer {} kept for survey {} cannot be read; it is worked out again.", kind, survey, e);
            return Optional.empty();
        }
    }

    private Optional<KeptAnswer> find(long survey, AnswerKind kind, Speech speech) {
        return kept.findBySurveyIdAndKindAndLanguageAndUnits(
                survey, kind.name(), speech.language(), speech.units().name());
    }

    private void keep(long survey, AnswerKind kind, Speech speech, String basis, String answer) {
        transactions.executeWithoutResult(status -> {
            KeptAnswer one = find(survey, kind, speech).orElseGet(() -> new KeptAnswer(survey, kind, speech));
            one.tell(answer, basis, LocalDate.now(clock));
            kept.save(one);
        });
        makeRoom();
    }

    /** Lets those go that nobody has asked for the longest. */
    private void makeRoom() {
        long over = kept.taken() - ROOM;
        if (over <= 0) {
            return;
        }
        List<Long> tooMany = new ArrayList<>();
        for (AnswerSize one : kept.tellSizes()) {
            if (over <= 0) {
                break;
            }
            tooMany.add(one.id());
            over -= one.size();
        }
        kept.deleteAllByIdInBatch(tooMany);
    }

    private void behind(Runnable work) {
        if (behind.get() < MOST_BEHIND) {
            behind.incrementAndGet();
            Runnable carried = FarmScope.carried(() -> later(() -> {
                try {
                    work.run();
                } finally {
                    behind.decrementAndGet();
                }
            }));
            CompletableFuture.delayedExecutor(BEHIND.toMillis(), TimeUnit.MILLISECONDS)
                    .execute(carried);
        }
    }

    private void later(Runnable work) {
        try {
            threads.later(() -> {
                try {
                    work.run();
                } catch (DataIntegrityViolationException e) {
                    LOG.debug("Another request or node keeps the same answer at this moment.", e);
                } catch (RuntimeException e) {
                    if (!ended) {
                        LOG.warn("An answer could not be kept, or what follows it not be worked out.", e);
                    }
                }
            });
        } catch (RejectedExecutionException e) {
            LOG.debug("The program ends; nothing is kept or worked out any more.", e);
        }
    }
}
