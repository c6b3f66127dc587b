package umbel.app.archive;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.database.SchemaVersion;
import umbel.app.database.Tables;
import umbel.app.farm.Farm;
import umbel.app.photo.PhotoFiles;
import umbel.app.visit.RecordTable;

/** Writes a farm as an archive. All tables are read as they stood at one moment. */
@Component
class ArchiveWriter {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int FETCH = 200;

    private final DataSource database;
    private final RecordTable records;
    private final PhotoFiles photos;
    private final SchemaVersion schema;
    private final Clock clock;

    ArchiveWriter(DataSource database, RecordTable records, PhotoFiles photos, SchemaVersion schema, Clock clock) {
        this.database = database;
        this.records = records;
        this.photos = photos;
        this.schema = schema;
        this.clock = clock;
    }

    /** Writes the farm; the work of the thread must be for it. */
    void write(Farm farm, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out);
        Map<String, Long> rows = new LinkedHashMap<>();
        TreeSet<String> pictures = new TreeSet<>();
        try (Connection connection = database.getConnection()) {
            connection.setAutoCommit(false);
            connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            connection.setReadOnly(true);
            try {
                for (String table : Tables.inOrder(connection)) {
                    if (goesWithAFarm(connection, table)) {
                        zip.putNextEntry(new ZipEntry(FarmArchive.file(table)));
                        rows.put(table, rows(connection, table, farm.id(), zip, pictures));
                        zip.closeEntry();
                    }
                }
            } finally {
                connection.rollback();
                connection.setReadOnly(false);
            }
        } catch (SQLException e) {
            throw new IOException(e);
        }
        int count = 0;
        for (String picture : pictures) {
            count += addPicture(zip, picture) ? 1 : 0;
        }
        zip.putNextEntry(new ZipEntry(FarmArchive.RECORDS));
        Writer table = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
        records.write(table);
        table.flush();
        zip.closeEntry();
        zip.putNextEntry(new ZipEntry(FarmArchive.ABOUT));
        zip.write(JSON.writeValueAsBytes(new FarmArchive.About(
                FarmArchive.FORMAT, farm.name(), clock.instant().toString(), schema.current(), rows, count)));
        zip.closeEntry();
        zip.finish();
    }

    /** Whether the rows of a table are a farm's, and go with it. */
    static boolean goesWithAFarm(Connection connection, String table) throws SQLException {
        return !FarmArchive.WORKED_OUT.contains(table)
                && Tables.references(connection, table).containsKey(FarmArchive.FARM);
    }

    private long rows(Connection connection, String table, long farm, OutputStream out, TreeSet<String> pictures)
            throws SQLException, IOException {
        List<String> leftOut = FarmArchive.LEFT_OUT.getOrDefault(table, List.of());
        long count = 0;
        try (PreparedStatement ask = connection.prepareStatement(
                "select * from " + table + " where " + FarmArchive.FARM + " = ? order by id")) {
            ask.setLong(1, farm);
            ask.setFetchSize(FETCH);
            try (ResultSet rows = ask.executeQuery()) {
                ResultSetMetaData about = rows.getMetaData();
                while (rows.next()) {
                    Map<String, Object> row = new LinkedHashMap<>();
                    for (int i = 1; i <= about.getColumnCount(); i++) {
                        String column = about.getColumnName(i).toLowerCase(Locale.ROOT);
                        if (!column.equals(FarmArchive.FARM) && !leftOut.contains(column)) {
                            row.put(column, value(rows, i, about.getColumnType(i)));
                        }
                    }
                    if (table.equals("tree_photo")) {
                        pictures.add(String.valueOf(row.get("file")));
                    }
                    out.write(JSON.writeValueAsBytes(row));
                    out.write('\n');
                    count++;
                }
            }
        }
        return count;
    }

    private static Object value(ResultSet rows, int column, int type) throws SQLException {
        return switch (type) {
            case Types.CLOB, Types.LONGVARCHAR -> rows.getString(column);
            case Types.DATE -> text(rows.getObject(column, LocalDate.class));
            case Types.TIMESTAMP, Types.TIMESTAMP_WITH_TIMEZONE -> text(rows.getObject(column, OffsetDateTime.class));
            default -> rows.getObject(column);
        };
    }

    private static String text(Object value) {
        return value == null ? null : value.toString();
    }

    private boolean addPicture(ZipOutputStream zip, String picture) throws IOException {
        Path file = photos.path(picture);
        try {
            byte[] bytes = Files.readAllBytes(file);
            zip.putNextEntry(new ZipEntry(PhotoFiles.FOLDER + "/" + file.getFileName()));
            zip.write(bytes);
            zip.closeEntry();
            return true;
        } catch (NoSuchFileException e) {
            return false; // its file was taken away; its line stays
        }
    }
}
