package umbel.knowledge;

import java.util.List;

/**
 * A question on which good practitioners differ; from {@code knowledge/questions.yaml}.
 *
 * @param asks the question
 * @param line the line of a school that settles it, by name; null where kind, system or the grower's goals do
 * @param kinds the kinds of trees it is asked of, by id; empty for all
 * @param sides its answers
 * @param usual what the program does where nobody says otherwise, and why
 */
public record SchoolQuestion(String id, String asks, String line, List<String> kinds, List<Side> sides, String usual) {

    public SchoolQuestion {
        kinds = kinds == null ? List.of() : List.copyOf(kinds);
        sides = List.copyOf(sides);
    }

    /**
     * One answer.
     *
     * @param value of the school's line; yes and no as 1 and 0; null where no line settles the question
     * @param why what speaks for it
     */
    public record Side(Double value, String name, String why) {}

    /** The file: all questions in the order in which they are told. */
    public record Questions(List<SchoolQuestion> questions) {

        public Questions {
            questions = List.copyOf(questions);
        }
    }
}
