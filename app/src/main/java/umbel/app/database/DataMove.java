package umbel.app.database;

import java.math.BigDecimal;
import java.math.MathContext;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;

/**
 * Moves all data from one database into another that holds none, whichever of the two kinds they are, and holds what arrived against what
 * left: rows, sums of numbers, lengths of texts. What does not agree is not kept.
 */
public final class DataMove {

    private static final int BATCH = 500;
    private static final MathContext ALIKE = new MathContext(9);
    private static final Set<Integer> WHOLE =
            Set.of(Types.SMALLINT, Types.INTEGER, Types.BIGINT, Types.NUMERIC, Types.DECIMAL);
    /** Their sums depend on the order of the rows in their last digits. */
    private static final Set<Integer> FLOATING = Set.of(Types.REAL, Types.FLOAT, Types.DOUBLE);

    private static final Set<Integer> TEXTS = Set.of(Types.CHAR, Types.VARCHAR, Types.LONGVARCHAR, Types.CLOB);

    private DataMove() {}

    /** What was moved: rows by table. */
    public record Moved(Map<String, Long> rows) {

        /** All rows. */
        public long all() {
            return rows.values().stream().mapToLong(Long::longValue).sum();
        }
    }

    /** A table's rows and sums, to be held against another's. */
    private record Sums(long rows, Map<String, BigDecimal> columns) {}

    /**
     * Moves what is behind one address to another, where the tables are made first.
     *
     * @throws SQLException where a database cannot be reached or used
     * @throws IllegalStateException where the other holds data already, or what arrived is not what left; the other is then left empty
     */
    public static Moved between(Address from, Address to) throws SQLException {
        from.existing().open().close();
        FluentConfiguration migrations = Flyway.configure().dataSource(to.url(), to.user(), to.password());
        migrations.locations(
                DatabaseKind.isPostgres(to.url())
                        ? "filesystem:" + PostgresMigrations.folder()
                        : "classpath:db/migration");
        migrations.load().migrate();
        try (Connection source = from.existing().open();
                Connection target = to.open()) {
            return all(source, target);
        }
    }

    /** Where a database is, and who asks. */
    public record Address(String url, String user, String password) {

        /** An address; the program's own file has the program's own user, a server the one that is told. */
        public static Address of(String url, String user, String password) {
            return DatabaseKind.isPostgres(url) ? new Address(url, user, password) : new Address(url, "umbel", "");
        }

        /** The same, refused where it is a file that is not there: it would be made, and be empty. */
        Address existing() {
            return DatabaseKind.isPostgres(url) ? this : new Address(url + ";IFEXISTS=TRUE", user, password);
        }

        Connection open() throws SQLException {
            return DriverManager.getConnection(url, user, password);
        }
    }

    /** Moves all rows; both databases have the same tables. */
    static Moved all(Connection source, Connection target) throws SQLException {
        source.setAutoCommit(false); // so that a server hands rows out in batches, as they stood at one moment
        target.setAutoCommit(false);
        Map<String, Long> rows = new LinkedHashMap<>();
        List<String> tables = Tables.inOrder(source);
        if (!new TreeSet<>(tables).equals(new TreeSet<>(Tables.inOrder(target)))) {
            throw new IllegalStateException("The two databases have different tables: both must be of one version.");
        }
        for (String table : tables) {
            if (sums(target, table).rows() > 0) {
                throw new IllegalStateException("The database to move to holds data already, in " + table + ".");
            }
        }
        try {
            for (String table : tables) {
                copy(source, target, table);
            }
            for (String table : tables) {
                Sums left = sums(source, table);
                Sums arrived = sums(target, table);
                if (!left.equals(arrived)) {
                    throw new IllegalStateException("In " + table + " " + left + " left and " + arrived + " arrived.");
                }
                rows.put(table, left.rows());
            }
            target.commit();
        } catch (SQLException | IllegalStateException e) {
            target.rollback();
            throw e;
        }
        return new Moved(rows);
    }

    private static void copy(Connection source, Connection target, String table) throws SQLException {
        boolean numbered;
        try (Statement ask = source.createStatement();
                ResultSet rows = ask.executeQuery("select * from " + table + " where 1 = 0")) {
            numbered = columns(rows.getMetaData()).contains("id");
        }
        try (Statement ask = source.createStatement();
                ResultSet rows = batched(ask, "select * from " + table + (numbered ? " order by id" : ""))) {
            ResultSetMetaData about = rows.getMetaData();
            List<String> columns = columns(about);
            String places = columns.stream().map(column -> "?").collect(Collectors.joining(", "));
            try (PreparedStatement put = target.prepareStatement(
                    "insert into " + table + " (" + String.join(", ", columns) + ") values (" + places + ")")) {
                int waiting = 0;
                while (rows.next()) {
                    for (int i = 1; i <= columns.size(); i++) {
                        put(put, i, rows, about.getColumnType(i));
                    }
                    put.addBatch();
                    if (++waiting == BATCH) {
                        put.executeBatch();
                        waiting = 0;
                    }
                }
                put.executeBatch();
            }
        }
        if (numbered) {
            numberOn(target, table);
        }
    }

    private static ResultSet batched(Statement ask, String query) throws SQLException {
        ask.setFetchSize(BATCH);
        return ask.executeQuery(query);
    }

    private static void put(PreparedStatement put, int at, ResultSet rows, int type) throws SQLException {
        Object value = switch (type) {
            case Types.CLOB, Types.LONGVARCHAR, Types.VARCHAR, Types.CHAR -> rows.getString(at);
            case Types.TIMESTAMP, Types.TIMESTAMP_WITH_TIMEZONE -> rows.getObject(at, OffsetDateTime.class);
            default -> rows.getObject(at);
        };
        put.setObject(at, value);
    }

    /** The next row gets the number after the highest. */
    private static void numberOn(Connection target, String table) throws SQLException {
        long next;
        try (Statement ask = target.createStatement();
                ResultSet highest = ask.executeQuery("select coalesce(max(id), 0) + 1 from " + table)) {
            highest.next();
            next = highest.getLong(1);
        }
        try (Statement number = target.createStatement()) {
            number.execute("alter table " + table + " alter column id restart with " + next);
        }
    }

    private static Sums sums(Connection database, String table) throws SQLException {
        List<String> asked = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<Boolean> rounded = new ArrayList<>();
        try (Statement ask = database.createStatement();
                ResultSet none = ask.executeQuery("select * from " + table + " where 1 = 0")) {
            ResultSetMetaData about = none.getMetaData();
            List<String> columns = columns(about);
            for (int i = 1; i <= columns.size(); i++) {
                String column = columns.get(i - 1);
                int type = about.getColumnType(i);
                names.add(column);
                rounded.add(FLOATING.contains(type));
                asked.add(
                        WHOLE.contains(type) || FLOATING.contains(type)
                                ? "sum(" + column + ")"
                                : TEXTS.contains(type) ? "sum(length(" + column + "))" : "count(" + column + ")");
            }
        }
        Map<String, BigDecimal> sums = new TreeMap<>();
        try (Statement ask = database.createStatement();
                ResultSet all = ask.executeQuery("select count(*), " + String.join(", ", asked) + " from " + table)) {
            all.next();
            for (int i = 0; i < names.size(); i++) {
                BigDecimal told = all.getBigDecimal(i + 2);
                BigDecimal sum = told == null ? BigDecimal.ZERO : told;
                sums.put(names.get(i), (rounded.get(i) ? sum.round(ALIKE) : sum).stripTrailingZeros());
            }
            return new Sums(all.getLong(1), sums);
        }
    }

    private static List<String> columns(ResultSetMetaData about) throws SQLException {
        List<String> columns = new ArrayList<>();
        for (int i = 1; i <= about.getColumnCount(); i++) {
            columns.add(about.getColumnName(i).toLowerCase(Locale.ROOT));
        }
        return columns;
    }
}
