package umbel.assess;

import java.util.Locale;
import java.util.Map;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.SchoolLines;
import umbel.reading.Finding;
import umbel.wood.Setting;

/** Tells which line of knowledge a finding was judged by, and where the chosen school differs from the usual one. */
final class ThresholdSources {

    private final Setting setting;
    private final School school;
    private final Map<String, Object> lines;
    private final Map<String, Object> usual;

    ThresholdSources(Knowledge knowledge, Setting setting, School school) {
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
            case "school" -> new Assessment.JudgedBy(source, school.name(), line, bySchool(line));
            case "system" ->
                new Assessment.JudgedBy(
                        source,
                        setting.system().name(),
                        line,
                        "By the system: " + setting.system().name() + ".");
            case "species" ->
                new Assessment.JudgedBy(
                        source,
                        setting.species().name(),
                        line,
                        "By the kind of tree: " + setting.species().name() + ".");
            default -> new Assessment.JudgedBy(source, "", line, "As it was noted at the tree.");
        };
    }

    private String bySchool(String line) {
        Object own = lines.get(line);
        Object other = usual.get(line);
        String text = String.format(Locale.ROOT, "By the %s school: %s.", school.name(), plain(own));
        return own == null || own.equals(other)
                ? text
                : text + String.format(Locale.ROOT, " The classic school holds %s.", plain(other));
    }

    private static String plain(Object value) {
        if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        return String.valueOf(value).replaceFirst("\\.0$", "");
    }
}
