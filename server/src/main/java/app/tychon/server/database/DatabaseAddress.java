package app.tychon.server.database;

/** How to reach a database: JDBC URL, user and password. */
public record DatabaseAddress(String url, String user, String password) {}
