package app.tychon.server.odds;

/**
 * What a run says of one activity.
 *
 * @param share 0 to 1, of the futures in which it drove the finish
 * @param meanDays mean sampled duration, days of its calendar
 * @param sdDays standard deviation of it
 */
record Criticality(String id, String name, double share, double meanDays, double sdDays) {}
