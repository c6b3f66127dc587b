package umbel.app.database;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import umbel.app.database.DataMove.Address;

/** A real PostgreSQL that was started for the tests; its address without the name of a database is in the environment. */
public final class Postgres {

    public static final String VARIABLE = "UMBEL_TEST_POSTGRES";
    private static final String USER = "umbel";

    private Postgres() {}

    /** An empty database of this name; one of an earlier run goes. */
    public static Address fresh(String name) throws SQLException {
        String server = System.getenv(VARIABLE);
        String own = name + "_" + ProcessHandle.current().pid();
        try (Connection all = DriverManager.getConnection(server + "/postgres", USER, "");
                Statement make = all.createStatement()) {
            make.execute("drop database if exists " + own + " with (force)");
            make.execute("create database " + own);
        }
        return new Address(server + "/" + own, USER, "");
    }
}
