package umbel.app.database;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** The tables of a database and how they refer to one another. */
public final class Tables {

    /** What belongs to the database itself or to the nodes that work on it, and what only spares work: it moves nowhere. */
    private static final Set<String> OWN = Set.of(
            "flyway_schema_history",
            "scheduled_tasks",
            "spring_session",
            "spring_session_attributes",
            "sign_in_failure",
            "kept_answer");

    private Tables() {}

    /** The tables, those before the ones that refer to them. */
    public static List<String> inOrder(Connection database) throws SQLException {
        DatabaseMetaData about = database.getMetaData();
        Map<String, Set<String>> refersTo = new TreeMap<>();
        try (ResultSet tables = about.getTables(
                database.getCatalog(), database.getSchema(), "%", new String[] {"TABLE", "BASE TABLE"})) {
            while (tables.next()) {
                String name = tables.getString("TABLE_NAME");
                if (!OWN.contains(name.toLowerCase(Locale.ROOT))) {
                    refersTo.put(name, new TreeSet<>());
                }
            }
        }
        for (Map.Entry<String, Set<String>> table : refersTo.entrySet()) {
            try (ResultSet keys = about.getImportedKeys(database.getCatalog(), database.getSchema(), table.getKey())) {
                while (keys.next()) {
                    table.getValue().add(keys.getString("PKTABLE_NAME"));
                }
            }
            table.getValue().remove(table.getKey());
        }
        Set<String> order = new LinkedHashSet<>();
        while (order.size() < refersTo.size()) {
            int before = order.size();
            refersTo.forEach((table, others) -> {
                if (order.containsAll(others)) {
                    order.add(table);
                }
            });
            if (order.size() == before) {
                throw new IllegalStateException("Tables refer to one another in a circle.");
            }
        }
        return order.stream().map(name -> name.toLowerCase(Locale.ROOT)).toList();
    }

    /** Which table each referring column of a table refers to, all in small letters. */
    public static Map<String, String> references(Connection database, String table) throws SQLException {
        Map<String, String> references = new TreeMap<>();
        DatabaseMetaData about = database.getMetaData();
        String name = about.storesUpperCaseIdentifiers() ? table.toUpperCase(Locale.ROOT) : table;
        try (ResultSet keys = about.getImportedKeys(database.getCatalog(), database.getSchema(), name)) {
            while (keys.next()) {
                references.put(
                        keys.getString("FKCOLUMN_NAME").toLowerCase(Locale.ROOT),
                        keys.getString("PKTABLE_NAME").toLowerCase(Locale.ROOT));
            }
        }
        return references;
    }
}
