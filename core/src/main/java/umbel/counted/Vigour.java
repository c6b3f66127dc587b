package umbel.counted;

import java.util.Map;
import umbel.knowledge.CountingParameters;

/** How strongly a plant grows, as its survey tells it. */
final class Vigour {

    /** Words of the format that mean the same. */
    private static final Map<String, String> WORDS =
            Map.of("light", "light", "low", "light", "moderate", "moderate", "heavy", "heavy", "high", "heavy");

    private Vigour() {}

    /** light, moderate or heavy; moderate where nothing is told. */
    static String word(CountSurvey survey) {
        String told = survey.plant().cultivar() == null
                ? null
                : survey.plant().cultivar().vigour();
        return told == null ? "moderate" : WORDS.get(told);
    }

    /** New growth against a moderate plant. */
    static double of(CountSurvey survey, CountingParameters numbers) {
        return numbers.forecast().vigour().get(word(survey));
    }
}
