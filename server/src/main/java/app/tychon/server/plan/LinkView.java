package app.tychon.server.plan;

/** A logic link; {@code lag} is written with its unit. */
record LinkView(String from, String to, String type, String lag) {}
