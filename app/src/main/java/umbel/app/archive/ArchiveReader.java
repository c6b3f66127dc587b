package umbel.app.archive;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.IntConsumer;
import java.util.regex.Matcher;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import umbel.app.database.SchemaVersion;
import umbel.app.database.Tables;
import umbel.app.http.NotFound;
import umbel.app.photo.PhotoFiles;
import umbel.app.practice.OwnTreeCode;
import umbel.counted.CountReader;
import umbel.counted.CountSurvey;
import umbel.survey.InvalidSurvey;
import umbel.survey.SurveyReader;

/**
 * Reads an archive into a farm that is empty yet. Rows get numbers of this installation, and what refers to them goes with them. It is
 * taken whole or not at all.
 */
@Component
class ArchiveReader {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String INSTRUCTIONS = "block_instruction";
    private static final String SURVEYS = "survey";
    private static final String TREES = "tree";
    private static final String TREE_ID = "treeId";
    private static final String DOCUMENT = "document";
    private static final String EXERCISE = "exercise";
    private static final int MOST_OF_A_LINE = 16 << 20;
    private static final long MOST_OF_A_PICTURE = 16 << 20;

    private final DataSource database;
    private final PhotoFiles photos;
    private final SchemaVersion schema;

    ArchiveReader(DataSource database, PhotoFiles photos, SchemaVersion schema) {
        this.database = database;
        this.photos = photos;
        this.schema = schema;
    }

    /** What an archive tells of itself; refused where it is none, or one of a newer version of the program. */
    FarmArchive.About about(Path file) throws NotAnArchive {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            ZipEntry entry = zip.getEntry(FarmArchive.ABOUT);
            if (entry == null) {
                throw new NotAnArchive("problem.archive-foreign");
            }
            FarmArchive.About about;
            try (InputStream in = zip.getInputStream(entry)) {
                about = JSON.readValue(in.readNBytes(MOST_OF_A_LINE), FarmArchive.About.class);
            }
            if (!FarmArchive.FORMAT.equals(about.format()) || about.rows() == null) {
                throw new NotAnArchive("problem.archive-foreign");
            }
            if (about.schema() > schema.current()) {
                throw new NotAnArchive("problem.archive-newer");
            }
            return about;
        } catch (IOException | JacksonException e) {
            throw new NotAnArchive("problem.archive-foreign");
        }
    }

    /**
     * Reads it into a farm, within the transaction of this thread; gives how many rows were read into each table.
     *
     * @param done told after every row and picture how many there were
     */
    Map<String, Long> read(Path file, long farm, IntConsumer done) throws NotAnArchive {
        FarmArchive.About about = about(file);
        Connection connection = DataSourceUtils.getConnection(database);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Count count = new Count(done);
            Map<String, Long> rows = tables(zip, connection, farm, about, count);
            pictures(zip, count);
            return rows;
        } catch (SQLException | IOException | JacksonException | DateTimeException | InvalidSurvey | NotFound e) {
            throw new NotAnArchive("problem.archive-broken", e);
        } finally {
            DataSourceUtils.releaseConnection(connection, database);
        }
    }

    /** How much was read. */
    private static final class Count {

        private final IntConsumer told;
        private int count;

        Count(IntConsumer told) {
            this.told = told;
        }

        void one() {
            told.accept(++count);
        }
    }

    private static Map<String, Long> tables(
            ZipFile zip, Connection connection, long farm, FarmArchive.About about, Count done)
            throws SQLException, IOException, NotAnArchive {
        Map<String, Map<Long, Long>> numbers = new HashMap<>();
        Map<String, Long> rows = new LinkedHashMap<>();
        for (String table : Tables.inOrder(connection)) {
            ZipEntry entry = zip.getEntry(FarmArchive.file(table));
            if (entry == null || FarmArchive.STAYS.contains(table) || !ArchiveWriter.goesWithAFarm(connection, table)) {
                continue;
            }
            long count;
            try (BufferedReader lines =
                    new BufferedReader(new InputStreamReader(zip.getInputStream(entry), StandardCharsets.UTF_8))) {
                count = new TableImport(connection, table, farm, numbers).all(lines, done);
            }
            if (count != about.rows().getOrDefault(table, 0L)) {
                throw new NotAnArchive("problem.archive-broken");
            }
            rows.put(table, count);
        }
        return rows;
    }

    /** One table of the farm that is being read into. */
    private static final class TableImport {

        private final Connection connection;
        private final String table;
        private final long farm;
        private final Map<String, Map<Long, Long>> numbers;
        private final Map<String, Integer> types = new HashMap<>();
        private final Map<String, String> references;

        TableImport(Connection connection, String table, long farm, Map<String, Map<Long, Long>> numbers)
                throws SQLException {
            this.connection = connection;
            this.table = table;
            this.farm = farm;
            this.numbers = numbers;
            this.references = Tables.references(connection, table);
            numbers.put(table, new HashMap<>());
            try (Statement ask = connection.createStatement();
                    ResultSet none = ask.executeQuery("select * from " + table + " where 1 = 0")) {
                ResultSetMetaData about = none.getMetaData();
                for (int i = 1; i <= about.getColumnCount(); i++) {
                    types.put(about.getColumnName(i).toLowerCase(Locale.ROOT), about.getColumnType(i));
                }
            }
        }

        long all(BufferedReader lines, Count done) throws IOException, SQLException, NotAnArchive {
            long count = 0;
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                one((ObjectNode) JSON.readTree(line));
                count++;
                done.one();
            }
            return count;
        }

        private void one(ObjectNode row) throws SQLException, NotAnArchive {
            List<String> columns = new ArrayList<>();
            List<Object> values = new ArrayList<>();
            for (Map.Entry<String, JsonNode> field : row.properties()) {
                String column = field.getKey();
                boolean known = types.containsKey(column) && !column.equals(FarmArchive.FARM);
                if (!known) {
                    throw new NotAnArchive("problem.archive-broken");
                }
                if (!column.equals(FarmArchive.ID)) {
                    columns.add(column);
                    values.add(value(column, field.getValue(), row));
                }
            }
            columns.add(FarmArchive.FARM);
            values.add(farm);
            String places = String.join(", ", Collections.nCopies(columns.size(), "?"));
            try (PreparedStatement put = connection.prepareStatement(
                    "insert into " + table + " (" + String.join(", ", columns) + ") values (" + places + ")",
                    new String[] {FarmArchive.ID})) {
                for (int i = 0; i < columns.size(); i++) {
                    put.setObject(i + 1, values.get(i));
                }
                put.executeUpdate();
                try (ResultSet made = put.getGeneratedKeys()) {
                    made.next();
                    numbers.get(table).put(row.path(FarmArchive.ID).asLong(), made.getLong(1));
                }
            }
        }

        private Object value(String column, JsonNode node, ObjectNode row) throws NotAnArchive {
            if (node.isNull()) {
                return null;
            }
            String other = references.get(column);
            if (other != null) {
                Long number = numbers.getOrDefault(other, Map.of()).get(node.asLong());
                if (number == null) {
                    throw new NotAnArchive("problem.archive-broken");
                }
                return number;
            }
            if (column.equals(EXERCISE) && OwnTreeCode.isOne(node.asString())) {
                return OwnTreeCode.of(tree(OwnTreeCode.treeOf(node.asString())));
            }
            return switch (types.get(column)) {
                case Types.DATE -> LocalDate.parse(node.asString());
                case Types.TIMESTAMP, Types.TIMESTAMP_WITH_TIMEZONE -> OffsetDateTime.parse(node.asString());
                case Types.BOOLEAN, Types.BIT -> node.asBoolean();
                case Types.DOUBLE, Types.FLOAT, Types.REAL -> node.asDouble();
                case Types.INTEGER, Types.SMALLINT -> node.asInt();
                case Types.BIGINT -> node.asLong();
                default -> column.equals(DOCUMENT) ? document(node.asString(), row) : node.asString();
            };
        }

        /** The number a tree has here; 0 where it did not come along. */
        private long tree(long before) {
            return numbers.getOrDefault(TREES, Map.of()).getOrDefault(before, 0L);
        }

        /** A survey must be one; an instruction tells of trees by their numbers. */
        private String document(String text, ObjectNode row) {
            if (table.equals(SURVEYS)) {
                if (row.path("format").asString("").equals(CountSurvey.FORMAT)) {
                    CountReader.read(JSON.readTree(text));
                } else {
                    SurveyReader.read(text);
                }
            }
            if (!table.equals(INSTRUCTIONS)) {
                return text;
            }
            JsonNode whole = JSON.readTree(text);
            for (JsonNode tree : whole.path("trees")) {
                Long number = numbers.getOrDefault(TREES, Map.of())
                        .get(tree.path(TREE_ID).asLong());
                ((ObjectNode) tree).put(TREE_ID, number == null ? 0 : number);
            }
            return JSON.writeValueAsString(whole);
        }
    }

    private void pictures(ZipFile zip, Count done) throws IOException, NotAnArchive {
        for (ZipEntry entry : Collections.list(zip.entries())) {
            Matcher picture = FarmArchive.PHOTO_FILE.matcher(entry.getName());
            if (picture.matches()) {
                try (InputStream in = zip.getInputStream(entry)) {
                    byte[] bytes = in.readNBytes((int) MOST_OF_A_PICTURE);
                    if (!photos.take(picture.group(1), bytes)) {
                        throw new NotAnArchive("problem.archive-broken");
                    }
                    done.one();
                }
            }
        }
    }
}
