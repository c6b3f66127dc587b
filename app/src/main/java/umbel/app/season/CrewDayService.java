package umbel.app.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.orchard.Holding;
import umbel.app.people.Person;
import umbel.app.people.PersonRepository;
import umbel.app.reader.Reader;
import umbel.knowledge.Knowledge;
import umbel.season.DayAdvice;
import umbel.season.Weather;
import umbel.wood.Units;

/** One day of the crew: each person's list with why, and what waits. */
@Service
class CrewDayService {

    private static final int REASONS = 2;
    private static final double LEFT_FROM = 0.05;

    private final SeasonService season;
    private final ScheduledWorkRepository placed;
    private final PersonRepository people;
    private final Knowledge knowledge;

    CrewDayService(SeasonService season, ScheduledWorkRepository placed, PersonRepository people, Knowledge knowledge) {
        this.knowledge = knowledge;
        this.season = season;
        this.placed = placed;
        this.people = people;
    }

    /** The day's lists. */
    @Transactional(readOnly = true)
    CrewDayAnswers.CrewDay day(LocalDate date) {
        Map<Long, Weather> weathers = new HashMap<>();
        List<SeasonService.BlockStatus> statuses = season.statuses(date, date, weathers);
        Map<Long, SeasonService.BlockStatus> byBlock = new HashMap<>();
        statuses.forEach(one -> byBlock.put(one.block().id(), one));
        List<ScheduledWork> later = placed.findByPlannedOnGreaterThanEqualOrderByPlannedOnAscIdAsc(date);
        List<ScheduledWork> today =
                later.stream().filter(work -> work.plannedOn().equals(date)).toList();
        return new CrewDayAnswers.CrewDay(
                date,
                !later.isEmpty(),
                weather(statuses, weathers, date),
                people.findByCrewTrueAndActiveTrueOrderByNameAsc().stream()
                        .map(person -> personDay(person, today, byBlock))
                        .toList(),
                waiting(statuses, today, later));
    }

    private CrewDayAnswers.PersonDay personDay(
            Person person, List<ScheduledWork> today, Map<Long, SeasonService.BlockStatus> blocks) {
        List<CrewDayAnswers.PieceOfDay> pieces = today.stream()
                .filter(work -> work.person().id().equals(person.id()))
                .sorted(Comparator.comparing((ScheduledWork work) -> work.kind())
                        .thenComparing(work -> work.block().name()))
                .map(work -> piece(work, advice(blocks.get(work.block().id()))))
                .toList();
        return new CrewDayAnswers.PersonDay(
                person.id(),
                person.name(),
                Units.round(
                        pieces.stream()
                                .mapToDouble(CrewDayAnswers.PieceOfDay::hours)
                                .sum(),
                        1),
                person.hoursADay(),
                pieces);
    }

    private CrewDayAnswers.PieceOfDay piece(ScheduledWork work, DayAdvice advice) {
        return new CrewDayAnswers.PieceOfDay(
                work.block().id(),
                work.block().name(),
                work.kind().word(),
                Units.round(work.minutes() / 60.0, 1),
                advice == null
                        ? DayAdvice.Verdict.ALLOWED.word()
                        : advice.verdict().word(),
                reasons(advice),
                advice == null || advice.ladder(),
                advice != null && advice.verdict() == DayAdvice.Verdict.NOT && advice.urgent(),
                knowledge.isCounted(work.block().species()));
    }

    private static List<CrewDayAnswers.WaitingBlock> waiting(
            List<SeasonService.BlockStatus> statuses, List<ScheduledWork> today, List<ScheduledWork> later) {
        List<CrewDayAnswers.WaitingBlock> waiting = new ArrayList<>();
        for (SeasonService.BlockStatus one : statuses) {
            boolean worked = today.stream()
                    .anyMatch(work -> work.block().id().equals(one.block().id()));
            if (worked || one.allHours() < LEFT_FROM) {
                continue;
            }
            DayAdvice advice = advice(one);
            waiting.add(new CrewDayAnswers.WaitingBlock(
                    one.block().id(),
                    one.block().name(),
                    Units.round(one.allHours(), 1),
                    advice == null
                            ? DayAdvice.Verdict.ALLOWED.word()
                            : advice.verdict().word(),
                    reasons(advice),
                    later.stream()
                            .filter(work -> work.block().id().equals(one.block().id()))
                            .map(ScheduledWork::plannedOn)
                            .findFirst()
                            .orElse(null)));
        }
        return waiting;
    }

    private static DayAdvice advice(SeasonService.BlockStatus block) {
        return block == null || block.days().isEmpty() ? null : block.days().get(0);
    }

    private static List<String> reasons(DayAdvice advice) {
        return advice == null
                ? List.of()
                : advice.reasons().stream()
                        .limit(REASONS)
                        .map(reason -> Reader.speech().say(reason.text()))
                        .toList();
    }

    private static List<SeasonAnswers.HoldingWeather> weather(
            List<SeasonService.BlockStatus> statuses, Map<Long, Weather> weathers, LocalDate date) {
        Map<Long, Holding> holdings = new HashMap<>();
        statuses.forEach(
                one -> holdings.put(one.block().holding().id(), one.block().holding()));
        return holdings.values().stream()
                .sorted(Comparator.comparing(Holding::name))
                .map(holding -> new SeasonAnswers.HoldingWeather(
                        holding.id(),
                        holding.name(),
                        weathers.get(holding.id()).between(date, date).stream()
                                .map(SeasonAnswers.WeatherLine::of)
                                .toList()))
                .toList();
    }
}
