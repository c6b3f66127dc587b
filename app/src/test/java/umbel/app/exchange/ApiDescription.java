package umbel.app.exchange;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import umbel.app.answer.Written;

/**
 * Describes the API as the running program answers it, for the description that ships and the types of the interface. In answers
 * every field is there except boxed numbers, which may be null; in what is sent in, fields stay optional.
 */
@Configuration
class ApiDescription {

    private static final String MAY_BE_NULL = "x-may-be-null";
    private static final Set<Class<?>> BOXED = Set.of(Double.class, Integer.class, Long.class, Boolean.class);
    private static final Set<String> SENT_IN = Set.of(
            "Survey",
            "TreeFacts",
            "Cultivar",
            "Rootstock",
            "Site",
            "TrunkMeasure",
            "LimbMeasure",
            "MeasureError",
            "PhotoSurveyRequest",
            "View",
            "Staff",
            "Trace",
            "Pair",
            "SmallWood",
            "ShootCount",
            "SpurCount",
            "AssessRequest",
            "CountRequest",
            "PlantingRequest",
            "Planting",
            "Land",
            "Distances",
            "CountSurvey",
            "PlantFacts",
            "BushCane",
            "Row",
            "Sample",
            "RowCanes",
            "Laterals",
            "Vine",
            "Arm",
            "VineCane",
            "LimitsAsked",
            "Mark",
            "Decisions",
            "Hold",
            "VisitEntry",
            "DoneStep",
            "PracticeWish",
            "LimbQuestion",
            "PracticeMarks",
            "HintAsked",
            "PracticeEntry",
            "Join",
            "Household",
            "WishedFence",
            "WishedTree");

    /** Parts of answers that may be missing though they are no boxed numbers. */
    private static final Map<String, Set<String>> MAY_BE_MISSING = Map.ofEntries(
            Map.entry("RecordLine", Set.of("outcome", "afterwards")),
            Map.entry("MeasureLine", Set.of("expected")),
            Map.entry("MeasureSent", Set.of("note")),
            Map.entry("LearnedAnswer", Set.of("since")),
            Map.entry("QuestionPage", Set.of("line")),
            Map.entry("SideLine", Set.of("value")),
            Map.entry("BlockSeason", Set.of("windowEnd")),
            Map.entry("PlantingOption", Set.of("times")),
            Map.entry("HouseholdTold", Set.of("fence")),
            Map.entry("HouseholdTree", Set.of("bloom", "faded", "pickedFrom", "pickedTo")),
            Map.entry("InstructionPage", Set.of("instruction", "search")),
            Map.entry("PracticeVerdict", Set.of("next")),
            Map.entry("LimbVerdict", Set.of("step")),
            Map.entry("PracticeCommon", Set.of("agree")),
            Map.entry("PlacedBlock", Set.of("windowEnd", "weather")),
            Map.entry("WeatherImport", Set.of("from", "to")),
            Map.entry("JobProgress", Set.of("endedAt")),
            Map.entry("PlannedLine", Set.of("plannedAt")),
            Map.entry("BlockPlans", Set.of("job")),
            Map.entry("PlansOfFarm", Set.of("job")),
            Map.entry("BackupsKept", Set.of("job")),
            Map.entry("LastArchive", Set.of("last")),
            Map.entry("Progress", Set.of("result")),
            Map.entry("KeyLine", Set.of("lastUsed")),
            Map.entry("Assessment", Set.of("inOneWinter")),
            Map.entry("Plans", Set.of("inOneWinter")),
            Map.entry("SchedulePage", Set.of("again")),
            Map.entry("WhereKept", Set.of("place", "block")),
            Map.entry("NewBlock", Set.of("holding")),
            Map.entry("WaitingBlock", Set.of("plannedFrom")),
            Map.entry("TreePage", Set.of("counted")),
            Map.entry("CountSent", Set.of("note")),
            Map.entry("StageAnswer", Set.of("fruits", "sprouts", "summer")),
            Map.entry("CountedReading", Set.of("light", "canes", "nodes")),
            Map.entry("CountedStep", Set.of("skipped")),
            Map.entry("ValueAnswer", Set.of("unit", "limbs", "word", "statements")));

    /** What is in JSON already is described as what it tells. */
    static {
        SpringDocUtils.getConfig().addResponseWrapperToIgnore(Written.class);
    }

    @Bean
    OpenAPI umbelApi() {
        return new OpenAPI()
                .info(new Info()
                        .title("Umbel")
                        .version("1")
                        .description(
                                "Reads surveyed fruit trees, proposes cuts with reasons, remembers what was done."))
                .servers(List.of(new Server().url("/")));
    }

    @Bean
    PropertyCustomizer boxedMayBeNull() {
        return (property, type) -> {
            if (BOXED.contains(rawClass(type))) {
                property.addExtension(MAY_BE_NULL, true);
            }
            return property;
        };
    }

    @Bean
    OpenApiCustomizer answersAreWhole() {
        return api -> {
            if (api.getComponents() == null || api.getComponents().getSchemas() == null) {
                return;
            }
            api.getComponents().getSchemas().forEach((name, schema) -> {
                if (!SENT_IN.contains(name)) {
                    requireWhole(schema, MAY_BE_MISSING.getOrDefault(name, Set.of()));
                }
            });
        };
    }

    private static Class<?> rawClass(AnnotatedType type) {
        if (type.getType() instanceof Class<?> plain) {
            return plain;
        }
        return type.getType() instanceof JavaType java ? java.getRawClass() : Object.class;
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void requireWhole(Schema schema, Set<String> missing) {
        Map<String, Schema> properties = schema.getProperties();
        if (properties == null) {
            return;
        }
        List<String> required = new ArrayList<>();
        properties.forEach((field, property) -> {
            boolean mayBeNull =
                    property.getExtensions() != null && property.getExtensions().containsKey(MAY_BE_NULL);
            if (!mayBeNull && !missing.contains(field)) {
                required.add(field);
            }
        });
        schema.setRequired(required);
    }
}
