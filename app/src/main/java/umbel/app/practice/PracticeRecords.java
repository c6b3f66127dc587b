package umbel.app.practice;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import umbel.app.reader.Reader;
import umbel.assess.Mark;
import umbel.cut.LimbFates;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.practice.Agreement;
import umbel.practice.EyeDrill;
import umbel.practice.Fault;
import umbel.practice.SkillBoxes;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.wood.Units;

/** Who has practised what: skills by person, and how alike people decide on the same tree. */
@Service
class PracticeRecords {

    private static final int LAST = 8;
    private static final int MOST_COMMON = 12;

    /** Stands for the tree where small drawings were judged. */
    private static final String EYE = "eye";

    private final PracticeResultRepository results;
    private final PracticeService practice;
    private final PracticeTrees trees;
    private final Knowledge knowledge;
    private final Clock clock;

    PracticeRecords(
            PracticeResultRepository results,
            PracticeService practice,
            PracticeTrees trees,
            Knowledge knowledge,
            Clock clock) {
        this.trees = trees;
        this.results = results;
        this.practice = practice;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    /**
     * Writes an answer down. A skill was known where every fault of its rule was put right. The same answer as the last one to
     * the exercise on the same day, sent again by a device that got no reply, is not written again.
     */
    @Transactional
    void write(String who, String code, PracticeAnswers.PracticeVerdict verdict, List<Mark> marks) {
        boolean again = results.findFirstByWhoAndExerciseOrderByIdDesc(who, code)
                .filter(last -> last.doneOn().equals(LocalDate.now(clock))
                        && last.marks().equals(marks))
                .isPresent();
        if (again) {
            return;
        }
        Map<String, Boolean> skills = new TreeMap<>();
        verdict.faults().stream()
                .filter(fault -> !fault.fate().equals("brought"))
                .forEach(fault -> skills.merge(fault.rule(), fault.fate().equals("cleared"), Boolean::logicalAnd));
        results.save(new PracticeResult(
                who, code, LocalDate.now(clock), verdict.mark(), verdict.passed(), skills, marks, clock.instant()));
    }

    /**
     * Writes a round of small drawings down. A skill was known where every drawing of it was judged rightly.
     *
     * @throws InvalidSurvey where a skill is none of the eye's
     */
    @Transactional
    void writeEye(String who, List<PracticeAnswers.EyeAnswer> answers) {
        Map<String, Boolean> skills = new TreeMap<>();
        for (int i = 0; i < answers.size(); i++) {
            PracticeAnswers.EyeAnswer one = answers.get(i);
            if (eyeSkill(one.skill()).isEmpty()) {
                throw new InvalidSurvey(List.of(FieldError.oneOf(
                        "answers[" + i + "].skill",
                        Arrays.stream(EyeDrill.Skill.values())
                                .map(EyeDrill.Skill::id)
                                .toList())));
            }
            skills.merge(one.skill(), one.right(), Boolean::logicalAnd);
        }
        double share = (double) answers.stream()
                        .filter(PracticeAnswers.EyeAnswer::right)
                        .count()
                / answers.size();
        results.save(new PracticeResult(
                who,
                EYE,
                LocalDate.now(clock),
                share,
                share >= knowledge.practice().eye().pass(),
                skills,
                List.of(),
                clock.instant()));
    }

    private static Optional<EyeDrill.Skill> eyeSkill(String id) {
        return Arrays.stream(EyeDrill.Skill.values())
                .filter(skill -> skill.id().equals(id))
                .findFirst();
    }

    /** What a skill of the eye is called. */
    static String eyeName(EyeDrill.Skill skill) {
        return Reader.speech().say(Statement.of("eye.skill." + skill.id()));
    }

    private String nameOf(String skill) {
        return eyeSkill(skill).map(PracticeRecords::eyeName).orElseGet(() -> practice.ruleName(skill));
    }

    private String titleOf(String exercise) {
        return exercise.equals(EYE) ? Reader.speech().say(Statement.of("eye.title")) : trees.title(exercise);
    }

    /** How somebody gets on. */
    @Transactional(readOnly = true)
    PracticeAnswers.PracticeProgress progress(String who) {
        List<PracticeResult> own = results.findByWhoOrderById(who);
        List<SkillBoxes.Shown> shown = new ArrayList<>();
        own.forEach(result -> result.skills()
                .forEach((skill, known) -> shown.add(new SkillBoxes.Shown(skill, result.doneOn(), known))));
        List<Integer> boxes = knowledge.practice().boxesDays();
        LocalDate today = LocalDate.now(clock);
        return new PracticeAnswers.PracticeProgress(
                SkillBoxes.of(shown, boxes).stream()
                        .map(one -> new PracticeAnswers.PracticeSkill(
                                one.skill(),
                                nameOf(one.skill()),
                                one.box(),
                                boxes.size() - 1,
                                one.shown(),
                                one.known(),
                                one.due().toString(),
                                !one.due().isAfter(today),
                                faultOf(one.skill()),
                                eyeSkill(one.skill()).isPresent()))
                        .toList(),
                own.subList(Math.max(0, own.size() - LAST), own.size()).stream()
                        .map(one -> new PracticeAnswers.PracticeDone(
                                one.exercise(),
                                titleOf(one.exercise()),
                                one.doneOn().toString(),
                                one.mark(),
                                one.passed()))
                        .toList(),
                own.size(),
                (int) own.stream().filter(PracticeResult::passed).count());
    }

    /** A fault by which a rule can be practised; empty where trees are not made with it. */
    private static String faultOf(String rule) {
        return Arrays.stream(Fault.values())
                .filter(fault -> fault.rule().equals(rule))
                .map(Fault::word)
                .findFirst()
                .orElse("");
    }

    /** How the crew gets on, and on which trees people can be compared. */
    @Transactional(readOnly = true)
    PracticeAnswers.PracticeCrew crew() {
        Map<String, List<PracticeResult>> byPerson = new TreeMap<>();
        Map<String, Map<String, PracticeResult>> byTree = new LinkedHashMap<>();
        for (PracticeResult result : results.findAllByOrderById()) {
            if (result.exercise().equals(EYE)) {
                continue; // no tree on which people could be compared
            }
            byPerson.computeIfAbsent(result.who(), key -> new ArrayList<>()).add(result);
            // the first answer counts: afterwards one has seen the program's
            byTree.computeIfAbsent(result.exercise(), key -> new TreeMap<>()).putIfAbsent(result.who(), result);
        }
        return new PracticeAnswers.PracticeCrew(
                byPerson.entrySet().stream()
                        .map(one -> person(one.getKey(), one.getValue()))
                        .toList(),
                byTree.entrySet().stream()
                        .filter(one -> one.getValue().size() > 1)
                        .sorted(Comparator.comparing(one -> newest(one.getValue()), Comparator.reverseOrder()))
                        .limit(MOST_COMMON)
                        .map(one -> common(one.getKey(), one.getValue()))
                        .toList());
    }

    private static LocalDate newest(Map<String, PracticeResult> answers) {
        return answers.values().stream()
                .map(PracticeResult::doneOn)
                .max(Comparator.naturalOrder())
                .orElseThrow();
    }

    private static PracticeAnswers.PracticePerson person(String name, List<PracticeResult> done) {
        return new PracticeAnswers.PracticePerson(
                name,
                done.size(),
                (int) done.stream().filter(PracticeResult::passed).count(),
                Units.round(
                        done.stream()
                                .mapToDouble(PracticeResult::mark)
                                .average()
                                .orElse(0),
                        3));
    }

    private PracticeAnswers.PracticeCommon common(String code, Map<String, PracticeResult> answers) {
        List<Map<String, LimbFates.Fate>> fates = answers.values().stream()
                .map(one ->
                        LimbFates.of(one.marks().stream().map(Mark::toOperation).toList()))
                .toList();
        List<Map<LimbFates.Fate, Integer>> counts = new ArrayList<>();
        List<PracticeAnswers.PracticeSplit> splits = new ArrayList<>();
        for (String limb : trees.limbsOf(code)) {
            Map<LimbFates.Fate, Integer> count = LimbFates.count(limb, fates);
            counts.add(count);
            if (count.size() > 1) {
                Map<String, Integer> told = new LinkedHashMap<>();
                count.forEach((fate, n) -> told.put(fate.name().toLowerCase(Locale.ROOT), n));
                splits.add(new PracticeAnswers.PracticeSplit(limb, told));
            }
        }
        double kappa = Agreement.kappa(counts);
        return new PracticeAnswers.PracticeCommon(
                code,
                trees.title(code),
                List.copyOf(answers.keySet()),
                Double.isNaN(kappa) ? null : Double.valueOf(Units.round(kappa, 2)),
                Double.isNaN(kappa) ? null : knowledge.practice().agreement().of(kappa),
                splits);
    }
}
