package umbel.app.farm;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import umbel.app.RunningUmbel;
import umbel.app.UmbelApplication;
import umbel.app.people.Visitor;
import umbel.app.photo.Pictures;

/**
 * Two farms of one installation, each with all that the demo has, and more. Every address there is is asked for in one of them with the
 * numbers of the other: nothing comes back that is the other's, and nothing of the other's changes.
 */
@ExtendWith(RunningUmbel.class)
class FarmsApartTest {

    private static final String ALDER = "Aldermark";
    private static final String BIRCH = "Birchmark";
    private static final String PASSWORD = "eleven pears";
    private static final int NUMBERS_TRIED = 1;
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

    @TempDir
    private static Path data;

    private static ConfigurableApplicationContext umbel;
    private static String url;
    private static Farmer alder;
    private static Farmer birch;
    private static Visitor founder;

    /** A grower with their farm. */
    private record Farmer(Visitor visitor, long farm, String code, String mark) {}

    @BeforeAll
    static void twoFarmsLikeTheDemo(RunningUmbel demo) throws Exception {
        umbel = SpringApplication.run(
                UmbelApplication.class, "--server.port=0", "--server.shutdown=immediate", "--UMBEL_DATA=" + data);
        url = "http://127.0.0.1:"
                + ((WebServerApplicationContext) umbel).getWebServer().getPort();
        founder = new Visitor(() -> url);
        founder.ask("GET", "/api/session", "");
        assertThat(founder.status(
                        "POST",
                        "/api/session/first",
                        "{\"name\":\"Keeper\",\"login\":\"keeper\",\"password\":\"" + PASSWORD + "\"}"))
                .isEqualTo(201);
        founder.ask("GET", "/api/session", "");
        byte[] archive = demo.bytes("/api/farms/this/archive");
        alder = farm(archive, ALDER);
        birch = farm(archive, BIRCH);
    }

    @AfterAll
    static void stop() {
        umbel.close();
    }

    /** Takes the demo in as a farm of a grower of its own, in which every name carries a mark. */
    private static Farmer farm(byte[] archive, String mark) throws Exception {
        String taken = founder.send("/api/farms/archive", archive, "application/octet-stream");
        String code = Visitor.read(taken).path("code").asString();
        assertThat(code).as(taken).hasSize(10);
        String asKeeper = "/farm/" + code;
        String invited = founder.ask("POST", asKeeper + "/api/invitations", "{\"role\":\"grower\"}")
                .body();
        System.err.println(
                "INVITED " + invited + " " + number("select count(*) from invitation where farm_id=2") + " "
                        + number(
                                "select count(*) from invitation where good_until > current_timestamp and withdrawn=false and used_by is null"));
        Visitor grower = new Visitor(() -> url);
        grower.ask("GET", "/api/session", "");
        var joined = grower.ask(
                "POST",
                "/api/session/join",
                "{\"code\":\"" + Visitor.read(invited).path("code").asString() + "\",\"name\":\"" + mark
                        + " Grower\",\"login\":\"" + mark + "\",\"password\":\"" + PASSWORD + "\"}");
        assertThat(joined.statusCode()).as(joined.body()).isEqualTo(201);
        var left = founder.ask("DELETE", asKeeper + "/api/session/role", "");
        assertThat(left.statusCode()).as(left.body()).isEqualTo(204);
        grower.ask("GET", "/api/session", "");
        long farm = number("select id from farm where code = '" + code + "'");
        addWhatTheDemoLacks(grower, farm, mark);
        marked(farm, mark);
        return new Farmer(grower, farm, code, mark);
    }

    private static void addWhatTheDemoLacks(Visitor grower, long farm, String mark) throws Exception {
        long tree = number("select min(id) from tree where farm_id = " + farm);
        assertThat(grower.status("POST", "/api/keys", "{\"name\":\"" + mark + "\"}"))
                .isEqualTo(201);
        assertThat(grower.status("POST", "/api/invitations", "{\"role\":\"adviser\"}"))
                .isEqualTo(201);
        String photo = "/api/trees/" + tree + "/photos?clientId=the-same-on-both&moment=seen&who=" + mark;
        assertThat(grower.send(photo, Pictures.jpeg(), "image/jpeg")).contains("moment");
        assertThat(grower.status(
                        "POST",
                        "/api/trees/" + tree + "/measures",
                        "{\"kind\":\"prunings\",\"amount\":4,\"measuredOn\":\"" + LocalDate.now() + "\"}"))
                .isEqualTo(201);
        long block = number("select min(id) from block where farm_id = " + farm);
        assertThat(grower.status("POST", "/api/blocks/" + block + "/reading", ""))
                .isEqualTo(202);
        run("insert into planting_scenario (name, saved_by, saved_at, request, farm_id) values ('" + mark + "', '"
                + mark + "', current_timestamp, '{\"options\":[]}', " + farm + ")");
        run("insert into suggestion (tree_id, survey_id, suggested_by, suggested_at, document, state, version, farm_id)"
                + " select tree_id, id, '" + mark + "', current_timestamp, '{\"marks\":[]}', 'open', 0, farm_id"
                + " from survey where tree_id = " + tree + " and withdrawn_at is null limit 1");
        run("insert into scheduled_work (block_id, kind, person_id, planned_on, minutes, pinned, farm_id)"
                + " select b.id, 'LADDER', p.id, date '2027-01-20', 60, true, b.farm_id from block b, person p where b.farm_id = "
                + farm + " and p.farm_id = b.farm_id limit 1");
    }

    /** Writes the farm's mark into every name. */
    private static void marked(long farm, String mark) throws SQLException {
        for (String column : List.of(
                "holding.name",
                "block.name",
                "block.note",
                "tree.label",
                "person.name",
                "work_record.who",
                "work_record.note",
                "picking.note",
                "crop_count.who",
                "practice_result.who",
                "audit_line.who")) {
            String[] at = column.split("\\.");
            run("update " + at[0] + " set " + at[1] + " = '" + mark + " ' || " + at[1] + " where farm_id = " + farm);
        }
    }

    @Test
    void everythingIsThereForWhomItBelongsTo() throws Exception {
        for (Farmer one : List.of(alder, birch)) {
            assertThat(one.visitor().ask("GET", "/api/holding", "").body()).contains(one.mark() + " Halden Combe");
            long tree = number("select min(id) from tree where farm_id = " + one.farm());
            assertThat(one.visitor().status("GET", "/api/trees/" + tree, "")).isEqualTo(200);
            assertThat(one.visitor().json("/api/trees/" + tree + "/photos")).isNotEmpty();
            assertThat(one.visitor().json("/api/plantings/scenarios")).isNotEmpty();
        }
    }

    @Test
    void noAddressGivesOrChangesWhatIsAnotherFarms() throws Exception {
        SoftAssertions found = new SoftAssertions();
        int asked = ask(birch, alder, found) + ask(alder, birch, found);
        found.assertAll();
        assertThat(asked).isGreaterThan(300);
    }

    @Test
    void theInterfaceIsThereUnderAFarmsAddress() throws Exception {
        String page = founder.ask("GET", "/", "").body();
        for (String path : List.of("", "/", "/trees/13", "/due")) {
            var answer = birch.visitor().ask("GET", "/farm/" + birch.code() + path, "");
            assertThat(answer.statusCode()).as(path).isEqualTo(200);
            assertThat(answer.body()).as(path).isEqualTo(page);
        }
        assertThat(birch.visitor().status("GET", "/farm/" + birch.code() + "/api/nothing/here", ""))
                .isEqualTo(404);
    }

    @Test
    void anotherFarmsAddressIsThatOfNoFarm() throws Exception {
        String none =
                birch.visitor().ask("GET", "/farm/nosuchfarm/api/holding", "").body();
        for (Address address : addresses()) {
            String path = with(address, alder, 0);
            var answer = birch.visitor().ask(address.method(), "/farm/" + alder.code() + path, "{}");
            if (!path.startsWith("/api/assess")) {
                assertThat(answer.statusCode()).as(address + " " + path).isEqualTo(404);
                assertThat(answer.body()).as("told as one that there is not").isEqualTo(none);
            }
        }
    }

    @Test
    void whoeverKeepsTheInstallationSeesNoFarmTheyHaveNoRoleIn() throws Exception {
        assertThat(founder.json("/api/farms")).hasSize(1);
        for (Address address : addresses()) {
            if (address.method().equals("GET") && !address.template().equals("/api/backup")) {
                String path = with(address, alder, 0);
                assertThat(founder.ask("GET", path, "").body()).as(path).doesNotContain(ALDER);
            }
        }
    }

    @Test
    void anAdviserOfBothIsInOneAtATime() throws Exception {
        Visitor adviser = new Visitor(() -> url);
        adviser.ask("GET", "/api/session", "");
        for (Farmer one : List.of(alder, birch)) {
            String invited = one.visitor()
                    .ask("POST", "/api/invitations", "{\"role\":\"adviser\"}")
                    .body();
            String code = Visitor.read(invited).path("code").asString();
            assertThat(adviser.status(
                            "POST",
                            "/api/session/join",
                            "{\"code\":\"" + code + "\",\"name\":\"Adviser\",\"login\":\"adviser\",\"password\":\""
                                    + PASSWORD + "\"}"))
                    .isEqualTo(201);
            adviser.ask("GET", "/api/session", "");
            assertThat(new Visitor(() -> url)
                            .signIn("keeper", PASSWORD)
                            .status("POST", "/api/session/join", "{\"code\":\"" + code + "\"}"))
                    .as("an invitation is good once")
                    .isEqualTo(409);
        }
        assertThat(adviser.json("/api/farms")).hasSize(2);
        assertThat(adviser.json("/api/farms").at("/0/surveyed").asInt()).isPositive();
        long tree = number("select min(id) from tree where farm_id = " + birch.farm());
        assertThat(adviser.status("GET", "/farm/" + birch.code() + "/api/trees/" + tree, ""))
                .isEqualTo(200);
        assertThat(adviser.status("GET", "/farm/" + alder.code() + "/api/trees/" + tree, ""))
                .isEqualTo(404);
        assertThat(adviser.status("GET", "/farm/" + alder.code() + "/api/accounts", ""))
                .isEqualTo(403);
        long person = number("select min(id) from person where account_id is not null and farm_id = " + birch.farm()
                + " and name like '%Adviser'");
        assertThat(birch.visitor()
                        .ask(
                                "PUT",
                                "/api/accounts/" + person,
                                "{\"login\":\"adviser\",\"role\":\"adviser\",\"password\":\"taken over by one\"}")
                        .statusCode())
                .as("whoever works elsewhere too keeps their own password")
                .isEqualTo(409);
    }

    /** An address with its method. */
    private record Address(String method, String template) {}

    private static List<Address> addresses() {
        List<Address> all = new ArrayList<>();
        for (RequestMappingInfo one : umbel.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
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

    private static int ask(Farmer who, Farmer other, SoftAssertions found) throws Exception {
        Map<String, String> before = state(other.farm());
        int asked = 0;
        for (Address address : addresses()) {
            int numbers = address.template().contains("{") ? NUMBERS_TRIED : 1;
            for (int i = 0; i < numbers; i++) {
                String path = with(address, other, i);
                for (String body : bodies(address, other, i)) {
                    var answer = who.visitor().ask(address.method(), path, body);
                    asked++;
                    String what = address.method() + " " + path + " " + body + " gave " + answer.statusCode();
                    found.assertThat(answer.body()).as(what).doesNotContain(other.mark());
                    if (isOfAFarm(address) && (address.method().equals("GET") || !body.equals("{}"))) {
                        found.assertThat(answer.statusCode()).as(what).isIn(404, 415);
                    }
                }
            }
        }
        assertThat(state(other.farm())).isEqualTo(before);
        return asked;
    }

    /** Whether an address tells something that belongs to a farm. */
    private static boolean isOfAFarm(Address address) {
        return TABLES.keySet().stream().anyMatch(one -> address.template().contains("/" + one + "/{"))
                || address.template().startsWith("/api/practice/exercises/{code}")
                        && !address.template().endsWith("/drill");
    }

    /** What is sent: nothing much, and what would be taken from whom it belongs to. */
    private static List<String> bodies(Address address, Farmer of, int which) throws SQLException {
        if (address.method().equals("GET") || address.method().equals("DELETE")) {
            return List.of("");
        }
        long block = nth("block", of.farm(), which);
        long holding = nth("holding", of.farm(), which);
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
                "{\"personId\":" + nth("person", of.farm(), which) + ",\"date\":\"2027-06-01\"}";
            case "POST /api/blocks/{id}/pickings" ->
                "{\"kind\":\"harvest\",\"pickedOn\":\"2026-03-01\",\"kg\":5,\"lastOne\":false,\"note\":\"taken\"}";
            case "POST /api/blocks/{id}/reading", "POST /api/blocks/{id}/plans", "POST /api/blocks/{id}/instruction" ->
                "";
            case "PUT /api/blocks/{id}/instruction/use" -> "{\"use\":true}";
            default -> "{}";
        };
        return valid.equals("{}") ? List.of("{}") : List.of("{}", valid);
    }

    private static String with(Address address, Farmer of, int which) throws SQLException {
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
                path.append(nth(table, of.farm(), which));
            } else if (other.equals("tree-")) {
                path.append(other).append(nth("tree", of.farm(), which));
            } else {
                path.append(other);
            }
        }
        return path.append(address.template(), from, address.template().length())
                .toString();
    }

    private static long nth(String table, long farm, int which) throws SQLException {
        List<Long> ids = new ArrayList<>();
        try (Connection connection = umbel.getBean(DataSource.class).getConnection();
                Statement ask = connection.createStatement();
                ResultSet rows = ask.executeQuery(
                        "select id from " + table + " where farm_id = " + farm + " order by id limit 20")) {
            while (rows.next()) {
                ids.add(rows.getLong(1));
            }
        }
        assertThat(ids).as("rows of " + table).isNotEmpty();
        return ids.get(which * (ids.size() - 1) % ids.size());
    }

    /** Every row of a farm, by table. The trail is left out: whoever is refused is written down in their own. */
    private static Map<String, String> state(long farm) throws SQLException {
        Map<String, String> state = new TreeMap<>();
        try (Connection connection = umbel.getBean(DataSource.class).getConnection()) {
            DatabaseMetaData about = connection.getMetaData();
            try (ResultSet columns = about.getColumns(null, connection.getSchema(), "%", "FARM_ID")) {
                while (columns.next()) {
                    String table = columns.getString("TABLE_NAME").toLowerCase(Locale.ROOT);
                    state.put(table, rows(connection, table, farm));
                }
            }
        }
        assertThat(state).hasSizeGreaterThan(20);
        return state;
    }

    private static String rows(Connection connection, String table, long farm) throws SQLException {
        StringBuilder all = new StringBuilder();
        try (PreparedStatement ask =
                connection.prepareStatement("select * from " + table + " where farm_id = ? order by id")) {
            ask.setLong(1, farm);
            try (ResultSet rows = ask.executeQuery()) {
                while (rows.next()) {
                    for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
                        all.append(rows.getString(i)).append('|');
                    }
                    all.append('\n');
                }
            }
        }
        return all.toString();
    }

    private static long number(String question) throws SQLException {
        try (Connection connection = umbel.getBean(DataSource.class).getConnection();
                Statement ask = connection.createStatement();
                ResultSet row = ask.executeQuery(question)) {
            row.next();
            return row.getLong(1);
        }
    }

    private static void run(String change) throws SQLException {
        try (Connection connection = umbel.getBean(DataSource.class).getConnection();
                Statement ask = connection.createStatement()) {
            ask.executeUpdate(change);
        }
    }
}
