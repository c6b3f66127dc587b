package umbel.app.farm;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every address the running program has, with numbers of what belongs to a farm, and bodies that would be taken from its own people. */
final class Addresses {

    private static final Pattern VARIABLE = Pattern.compile("\\{([a-zA-Z]+)}");

    /** Which table the number in an address is of, by what stands before it. */
    private static final Map<String, String> TABLES = Map.ofEntries(
            Map.entry("trees", "tree"),
            Map.entry("plants", "tree"),
            Map.entry("tags", "tree"),
            Map.entry("blocks", "block"),
            Map.entry("holdings", "holding"),
            Map.entry("surveys", "survey"),
            Map.entry("photos", "tree_photo"),
            Map.entry("crew", "person"),
            Map.entry("accounts", "person"),
            Map.entry("keys", "access_key"),
            Map.entry("follow-ups", "follow_up"),
            Map.entry("pieces", "scheduled_work"),
            Map.entry("suggestions", "suggestion"),
            Map.entry("measures", "tree_measure"),
            Map.entry("pickings", "picking"),
            Map.entry("crop-counts", "crop_count"),
            Map.entry("scenarios", "planting_scenario"),
            Map.entry("invitations", "invitation"),
            Map.entry("readings", "job"));

    /** What else stands in addresses, of no farm. */
    private static final Map<String, String> OTHERS = Map.of(
            "date",
            "2026-02-02",
            "limb",
            "1",
            "year",
            "1",
            "kind",
            "apple",
            "number",
            "1",
            "code",
            "tree-",
            "rule",
            "crossing");

    /** What these begin changes one's own farm while it is looked at. */
    private static final List<String> IN_THE_BACKGROUND = List.of("/api/schedule", "/api/plans");

    private final TwoFarms farms;

    Addresses(TwoFarms farms) {
        this.farms = farms;
    }

    /** An address with its method. */
    record Address(String method, String template) {}

    /** All of them, but those of signing in, of the description of the interface, and of what goes on in the background. */
    List<Address> all() {
        List<Address> all = new ArrayList<>();
        for (RequestMappingInfo one : farms.umbel()
                .part("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()) {
            for (String template : one.getPatternValues()) {
                for (RequestMethod method : one.getMethodsCondition().getMethods()) {
                    boolean own = template.startsWith("/api/")
                            && !template.startsWith("/api/session")
                            && !template.startsWith("/api/openapi")
                            && !template.equals("/api/backup/restore")
                            && !(IN_THE_BACKGROUND.contains(template) && method == RequestMethod.POST);
                    if (own) {
                        all.add(new Address(method.name(), template));
                    }
                }
            }
        }
        return all;
    }

    /** Whether an address tells something that belongs to a farm. */
    static boolean isOfAFarm(Address address) {
        return TABLES.keySet().stream().anyMatch(one -> address.template().contains("/" + one + "/{"))
                || address.template().startsWith("/api/practice/exercises/{code}")
                        && !address.template().endsWith("/drill");
    }

    /** What is sent: nothing much, and what would be taken from whom it belongs to. */
    List<String> bodies(Address address, TwoFarms.Farmer of) throws SQLException {
        if (address.method().equals("GET") || address.method().equals("DELETE")) {
            return List.of("");
        }
        long block = farms.first("block", of.farm());
        long holding = farms.first("holding", of.farm());
        String valid = switch (address.method() + " " + address.template()) {
            case "POST /api/trees" -> "{\"blockId\":" + block + ",\"row\":1,\"place\":1}";
            case "POST /api/blocks", "PUT /api/blocks/{id}" ->
                "{\"holdingId\":" + holding + ",\"name\":\"Taken\",\"species\":\"apple\",\"system\":\"tall-spindle\","
                        + "\"stock\":\"dwarfing\",\"plantedYear\":2021,\"treeCount\":3,\"inRowM\":1,\"betweenRowsM\":3.5,"
                        + "\"rowBearingDeg\":0,\"eastM\":0,\"northM\":0,\"rows\":1,\"placesPerRow\":3}";
            case "PUT /api/holdings/{id}" ->
                "{\"name\":\"Taken\",\"latitudeDeg\":51,\"elevationM\":80,\"timeZone\":\"UTC\"}";
            case "PUT /api/holdings/{id}/limits" -> "{\"diameterMm\":40}";
            case "PUT /api/blocks/{id}/archived", "PUT /api/trees/{id}/archived" -> "{\"archived\":true}";
            case "PUT /api/blocks/{id}/lines" -> "{\"near\":true}";
            case "PUT /api/trees/{id}/place" -> "{\"blockId\":" + block + ",\"row\":1,\"place\":1}";
            case "PUT /api/trees/{id}/work" -> "{\"decisions\":{\"marks\":[]},\"version\":0}";
            case "POST /api/trees/{id}/marks",
                    "POST /api/trees/{id}/plans",
                    "POST /api/trees/{id}/plans/first",
                    "POST /api/trees/{id}/years" -> "{\"marks\":[]}";
            case "POST /api/trees/{id}/records" ->
                "{\"doneOn\":\"2026-03-01\",\"who\":\"x\",\"minutes\":5,\"steps\":[],\"note\":\"taken\"}";
            case "POST /api/trees/{id}/measures" ->
                "{\"kind\":\"prunings\",\"amount\":4,\"measuredOn\":\"2026-03-01\"}";
            case "PUT /api/crew/{id}" ->
                "{\"name\":\"Taken\",\"language\":\"en\",\"hoursADay\":7,\"saw\":true,\"ladder\":true,\"weekdays\":\"12345\","
                        + "\"active\":false,\"version\":0}";
            case "PUT /api/accounts/{personId}" ->
                "{\"login\":\"taken\",\"role\":\"pruner\",\"password\":\"taken over now\",\"active\":false}";
            case "PUT /api/follow-ups/{id}" -> "{\"done\":true}";
            case "PUT /api/suggestions/{id}" -> "{\"accepted\":true}";
            case "PUT /api/schedule/pieces/{id}" ->
                "{\"personId\":" + farms.first("person", of.farm()) + ",\"date\":\"2027-06-01\"}";
            case "POST /api/blocks/{id}/pickings" ->
                "{\"kind\":\"harvest\",\"pickedOn\":\"2026-03-01\",\"kg\":5,\"lastOne\":false,\"note\":\"taken\"}";
            case "POST /api/blocks/{id}/reading", "POST /api/blocks/{id}/plans", "POST /api/blocks/{id}/instruction" ->
                "";
            case "PUT /api/blocks/{id}/instruction/use" -> "{\"use\":true}";
            default -> "{}";
        };
        return valid.equals("{}") ? List.of("{}") : List.of("{}", valid);
    }

    /** An address with numbers of a farm in it. */
    String with(Address address, TwoFarms.Farmer of) throws SQLException {
        StringBuilder path = new StringBuilder();
        Matcher variable = VARIABLE.matcher(address.template());
        int from = 0;
        while (variable.find()) {
            path.append(address.template(), from, variable.start());
            from = variable.end();
            String[] before = path.toString().split("/");
            String table = TABLES.get(before[before.length - 1]);
            String other = OTHERS.getOrDefault(variable.group(1), "1");
            if (table != null) {
                path.append(farms.first(table, of.farm()));
            } else if (other.equals("tree-")) {
                path.append(other).append(farms.first("tree", of.farm()));
            } else {
                path.append(other);
            }
        }
        return path.append(address.template(), from, address.template().length())
                .toString();
    }
}
