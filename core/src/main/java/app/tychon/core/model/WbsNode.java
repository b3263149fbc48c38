package app.tychon.core.model;

import java.util.Optional;

/** A branch of the work breakdown. */
public record WbsNode(String id, Optional<String> parent, String code, String name) {}
