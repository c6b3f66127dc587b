package umbel.bench;

import java.sql.Connection;
import java.sql.Date;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Makes the demo's data large: 60 blocks, six people, and a million records. Only for measuring. */
public final class FillHolding {

    private static final int BLOCKS = 60;
    private static final int PEOPLE = 6;
    private static final int RECORDS = 1_000_000;
    private static final int BATCH = 5_000;
    private static final String STEPS =
            "[{\"mark\":{\"operation\":\"remove\",\"limb\":\"2\"},\"title\":\"Remove limb 2\",\"outcome\":\"as-planned\",\"reason\":\"\"}]";

    private FillHolding() {}

    /** Argument: the data folder of a stopped program. */
    public static void main(String[] args) throws SQLException {
        try (Connection data = DriverManager.getConnection("jdbc:h2:file:" + args[0] + "/umbel", "umbel", "")) {
            data.setAutoCommit(false);
            blocks(data);
            people(data);
            records(data);
            data.commit();
            compact(data);
        }
    }

    /** One transaction of a million rows leaves several times their room behind, which years of work would not. */
    private static void compact(Connection data) throws SQLException {
        try (Statement all = data.createStatement()) {
            all.execute("shutdown compact");
        }
    }

    private static void blocks(Connection data) throws SQLException {
        try (Statement all = data.createStatement()) {
            int there = count(all, "select count(*) from block");
            for (int i = there; i < BLOCKS; i++) {
                copy(data, "block", i % there + 1L, "Copy " + i);
            }
        }
    }

    private static void people(Connection data) throws SQLException {
        try (Statement all = data.createStatement()) {
            long first = count(all, "select min(id) from person");
            for (int i = count(all, "select count(*) from person"); i < PEOPLE; i++) {
                copy(data, "person", first, "Hand " + i);
            }
        }
    }

    /** Adds a row that is like another but for its name. */
    private static void copy(Connection data, String table, long id, String name) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (ResultSet known = data.getMetaData().getColumns(null, null, table.toUpperCase(Locale.ROOT), null)) {
            while (known.next()) {
                String column = known.getString("COLUMN_NAME").toLowerCase(Locale.ROOT);
                if (!column.equals("id") && !column.equals("name")) {
                    columns.add(column);
                }
            }
        }
        String all = String.join(", ", columns);
        try (PreparedStatement add = data.prepareStatement("insert into " + table + " (name, " + all + ") select ?, "
                + all + " from " + table + " where id = ?")) {
            add.setString(1, name);
            add.setLong(2, id);
            add.executeUpdate();
        }
    }

    /** Twenty for each tree, spread over trees that are made for it, so that a tree's page finds its own among all. */
    private static void records(Connection data) throws SQLException {
        int each = 20;
        long firstTree;
        try (Statement all = data.createStatement()) {
            firstTree = count(all, "select max(id) from tree") + 1L;
        }
        int trees = RECORDS / each;
        try (PreparedStatement tree = data.prepareStatement(
                        "insert into tree (id, block_id, label, row_no, place_no, farm_id) values (?, ?, ?, ?, ?, 1)");
                PreparedStatement record = data.prepareStatement(
                        "insert into work_record (tree_id, survey_id, done_on, who, minutes, note, document, saved_at, farm_id)"
                                + " values (?, 1, ?, 'Ines', 5, '', ?, ?, 1)")) {
            for (int i = 0; i < trees; i++) {
                tree.setLong(1, firstTree + i);
                tree.setLong(2, i % BLOCKS + 1L);
                tree.setString(3, "Copy " + i);
                tree.setInt(4, 1000 + i / 500);
                tree.setInt(5, i % 500 + 1);
                tree.addBatch();
                if (i % BATCH == BATCH - 1) {
                    tree.executeBatch();
                }
            }
            tree.executeBatch();
            for (int i = 0; i < RECORDS; i++) {
                // a few thousand of them belong to the tree that is looked at
                record.setLong(1, i % 500 == 0 ? 1 : firstTree + i % trees);
                record.setDate(2, Date.valueOf(LocalDate.of(2006 + i % 20, 1 + i % 12, 1 + i % 28)));
                record.setString(3, STEPS);
                record.setTimestamp(4, Timestamp.from(Instant.EPOCH));
                record.addBatch();
                if (i % BATCH == BATCH - 1) {
                    record.executeBatch();
                }
            }
            record.executeBatch();
        }
    }

    private static int count(Statement all, String query) throws SQLException {
        try (ResultSet rows = all.executeQuery(query)) {
            rows.next();
            return rows.getInt(1);
        }
    }
}
