package app.tychon.server.plan;

import app.tychon.core.model.Funding;
import java.time.LocalDate;

/** Money that becomes available on a day, and adds to what there is. @param name where it comes from; may be empty */
public record FundingView(LocalDate date, double amount, String name) {
    static FundingView of(Funding one) {
        return new FundingView(one.date(), one.amount(), one.name());
    }
}
