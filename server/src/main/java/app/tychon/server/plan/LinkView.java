package app.tychon.server.plan;

import app.tychon.core.model.Link;
import java.util.List;

/** A logic link; {@code lag} is written with its unit. */
public record LinkView(String from, String to, String type, String lag) {
    public static List<LinkView> of(List<Link> links) {
        return links.stream().map(LinkView::of).toList();
    }

    static LinkView of(Link link) {
        return new LinkView(
                link.from(), link.to(), link.type().name(), link.lag().toString());
    }
}
