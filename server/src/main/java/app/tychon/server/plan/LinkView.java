package app.tychon.server.plan;

import app.tychon.core.model.Link;

/** A logic link; {@code lag} is written with its unit. */
record LinkView(String from, String to, String type, String lag) {
    static LinkView of(Link link) {
        return new LinkView(
                link.from(), link.to(), link.type().name(), link.lag().toString());
    }
}
