package umbel.app.people;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.server.PathContainer;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/** Addresses that are sent something only to compute an answer: they change nothing. */
final class Asking {

    /** Whoever reads the holding may ask for these. */
    private static final List<String> COMPUTING = List.of(
            "/api/measures/sky",
            "/api/survey/preview",
            "/api/survey/photographs",
            "/api/plants/*/marks",
            "/api/plants/*/plans",
            "/api/plantings/compare",
            "/api/plantings/field",
            "/api/plantings/household",
            "/api/plantings/outline",
            "/api/plantings/plan.geojson",
            "/api/plantings/plan.pdf",
            "/api/plantings/rows",
            "/api/plants/preview",
            "/api/trees/*/limbs/*/options",
            "/api/trees/*/marks",
            "/api/trees/*/plans",
            "/api/trees/*/plans/first",
            "/api/trees/*/schools",
            "/api/trees/*/schools/line",
            "/api/trees/*/sheet",
            "/api/trees/*/years",
            "/api/trees/*/years/*/drawing",
            "/api/blocks/*/crop-counts/preview",
            "/api/blocks/*/reading",
            "/api/blocks/*/surveys/preview");

    /** These have rights of their own, and change nothing of the holding either. */
    private static final List<String> BESIDES = List.of("/api/assess", "/api/practice/**", "/api/readings/*");

    private static final List<PathPattern> ALL = Stream.concat(COMPUTING.stream(), BESIDES.stream())
            .map(PathPatternParser.defaultInstance::parse)
            .toList();

    private Asking() {}

    /** Patterns of what whoever reads the holding may ask for. */
    static String[] computing() {
        return COMPUTING.toArray(String[]::new);
    }

    /** Whether what is sent to an address changes nothing. */
    static boolean changesNothing(String path) {
        PathContainer parts = PathContainer.parsePath(path);
        return ALL.stream().anyMatch(pattern -> pattern.matches(parts));
    }
}
