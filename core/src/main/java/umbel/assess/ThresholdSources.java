package umbel.assess;

import java.util.Map;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.reading.Finding;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Setting;

/** Tells which line of knowledge a finding was judged by, and where the chosen school differs from the usual one. */
final class ThresholdSources {

    private final Speech speech;
    private final Setting setting;
    private final School school;
    private final Map<String, Object> lines;
    private final Map<String, Object> usual;

    ThresholdSources(Knowledge knowledge, Setting setting, School school, Speech speech) {
        this.speech = speech;
        this.setting = setting;
        this.school = school;
        this.lines = SchoolLines.of(school);
        this.usual = SchoolLines.of(knowledge.school(School.USUAL));
    }

    Assessment.JudgedBy of(Finding finding) {
        String path = finding.judgedBy();
        int dot = path.indexOf('.');
        String source = dot < 0 ? "" : path.substring(0, dot);
        String line = path.substring(dot + 1);
        return switch (source) {
            case "school" -> told(source, school.name(), line, bySchool(line));
            case "system" ->
                told(
                        source,
                        setting.system().name(),
                        line,
                        Statement.of("judged.system")
                                .with("name", new Value.Words(setting.system().name())));
            case "species" ->
                told(
                        source,
                        setting.species().name(),
                        line,
                        Statement.of("judged.species")
                                .with("name", new Value.Words(setting.species().name())));
            default -> told(source, "", line, Statement.of("judged.noted"));
        };
    }

    private Assessment.JudgedBy told(String source, String name, String line, Statement text) {
        Telling telling = new Telling(speech);
        return new Assessment.JudgedBy(
                source, speech.knowledge(name), line, telling.say("text", text), telling.statements());
    }

    private Statement bySchool(String line) {
        Object own = lines.get(line);
        Object other = usual.get(line);
        boolean same = own == null || own.equals(other);
        return Statement.of("judged.school")
                .with("name", new Value.Words(school.name()))
                .with("own", plain(own))
                .with("differs", Value.choice(same ? "no" : "yes"))
                .with("usual", plain(other));
    }

    /** A line's value: a number with the digits it has, or yes and no. */
    static Value plain(Object value) {
        if (value instanceof Boolean yes) {
            return new Value.Term(yes ? "yes" : "no");
        }
        return value instanceof Number number
                ? Value.number(number.doubleValue(), digits(number.doubleValue()))
                : new Value.Words(String.valueOf(value));
    }

    private static int digits(double value) {
        return Math.max(
                0, java.math.BigDecimal.valueOf(value).stripTrailingZeros().scale());
    }
}
