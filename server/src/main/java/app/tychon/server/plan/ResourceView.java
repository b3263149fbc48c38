package app.tychon.server.plan;

import app.tychon.core.model.Resource;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;

/**
 * People, plant or material with a price.
 *
 * @param per   hour, day or unit
 * @param rates others, each from a day on
 * @param limit most units at a time that there are
 */
public record ResourceView(
        String id,
        String name,
        double rate,
        String per,
        List<RateView> rates,
        @Nullable Double limit,
        String category) {

    public record RateView(LocalDate from, double rate) {}

    static ResourceView of(Resource one) {
        return new ResourceView(
                one.id(),
                one.name(),
                one.rate(),
                one.per().name().toLowerCase(Locale.ROOT),
                one.rates().stream()
                        .map(rate -> new RateView(rate.from(), rate.rate()))
                        .toList(),
                one.limit().orElse(null),
                one.category());
    }
}
