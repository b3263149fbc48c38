package app.tychon.core.model;

/**
 * A logic link between two activities.
 *
 * @param lag waiting time between the two ends; below zero it is a lead
 */
public record Link(String from, String to, LinkType type, WorkDuration lag) {}
