package app.tychon.server.database;

/** How to reach a database: JDBC URL, user and password. */
public record DatabaseAddress(String url, String user, String password) {
    /** The same database as another user, with the same password. */
    DatabaseAddress as(String other) {
        return new DatabaseAddress(url, other, password);
    }
}
