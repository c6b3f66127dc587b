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
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import javax.sql.DataSource;
import umbel.app.OwnUmbel;
import umbel.app.people.Visitor;
import umbel.app.photo.Pictures;

/** A running program with two farms, each with all that the demo has, and more; in each, every name carries a mark of its own. */
final class TwoFarms implements AutoCloseable {

    static final String ALDER = "Aldermark";
    static final String BIRCH = "Birchmark";
    static final String PASSWORD = "eleven pears";

    private final OwnUmbel umbel;
    private final Visitor founder;
    private final Farmer alder;
    private final Farmer birch;

    /** A grower with their farm. */
    record Farmer(Visitor visitor, long farm, String code, String mark) {}

    /** Makes both out of the demo's archive; whoever founded the installation keeps no role in them. */
    TwoFarms(Path data, byte[] archive) throws Exception {
        umbel = OwnUmbel.start(data);
        founder = visitor();
        assertThat(founder.status(
                        "POST",
                        "/api/session/first",
                        "{\"name\":\"Keeper\",\"login\":\"keeper\",\"password\":\"" + PASSWORD + "\"}"))
                .isEqualTo(201);
        founder.ask("GET", "/api/session", "");
        alder = farm(archive, ALDER);
        birch = farm(archive, BIRCH);
    }

    OwnUmbel umbel() {
        return umbel;
    }

    Visitor founder() {
        return founder;
    }

    Farmer alder() {
        return alder;
    }

    Farmer birch() {
        return birch;
    }

    /** Somebody who is not signed in yet. */
    Visitor visitor() throws Exception {
        Visitor visitor = new Visitor(umbel::url);
        visitor.ask("GET", "/api/session", "");
        return visitor;
    }

    @Override
    public void close() {
        umbel.close();
    }

    /** Takes the demo in as a farm of a grower of its own, in which every name carries a mark. */
    private Farmer farm(byte[] archive, String mark) throws Exception {
        String taken = founder.send("/api/farms/archive", archive, "application/octet-stream");
        long job = Visitor.read(taken).path("job").asLong();
        while (Visitor.read(taken).path("state").asString().equals("running")) {
            Thread.sleep(50);
            taken = founder.ask("GET", "/api/farms/archive/" + job, "").body();
        }
        String code = Visitor.read(taken).path("code").asString();
        assertThat(code).as(taken).hasSize(10);
        String asKeeper = "/farms/" + code;
        String invited = founder.ask("POST", asKeeper + "/api/invitations", "{\"role\":\"grower\"}")
                .body();
        Visitor grower = visitor();
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

    private void addWhatTheDemoLacks(Visitor grower, long farm, String mark) throws Exception {
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
    private void marked(long farm, String mark) throws SQLException {
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

    /** The number of the first row of a table in a farm. */
    long first(String table, long farm) throws SQLException {
        long id = number("select coalesce(min(id), 0) from " + table + " where farm_id = " + farm);
        assertThat(id).as("rows of " + table).isPositive();
        return id;
    }

    /** Every row of a farm, by table. The trail is left out: whoever is refused is written down in their own. */
    Map<String, String> state(long farm) throws SQLException {
        Map<String, String> state = new TreeMap<>();
        try (Connection connection = umbel.part(DataSource.class).getConnection()) {
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

    /** The number a question is answered with. */
    long number(String question) throws SQLException {
        try (Connection connection = umbel.part(DataSource.class).getConnection();
                Statement ask = connection.createStatement();
                ResultSet row = ask.executeQuery(question)) {
            row.next();
            return row.getLong(1);
        }
    }

    private void run(String change) throws SQLException {
        try (Connection connection = umbel.part(DataSource.class).getConnection();
                Statement ask = connection.createStatement()) {
            ask.executeUpdate(change);
        }
    }
}
