package app.tychon.server.costs;

import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.MoneyJson;
import app.tychon.server.plan.RowEntity;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A cost line on an activity, on a branch, or, with neither, on the whole project. */
@Entity
@Table(name = "cost_line")
public class CostLineEntity extends RowEntity {
    private UUID activityId;
    private UUID branchId;
    private String name;
    private double amount;
    private Double perDay;
    private double fixedShare;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private CostTiming timing;

    private String grade;

    @Column(columnDefinition = "longtext")
    private String estimate;

    private String category;

    @Column(columnDefinition = "longtext")
    private String instalments;

    private Double spent;
    private Double toGo;

    protected CostLineEntity() {}

    CostLineEntity(UUID projectId, int position, UUID activityId, UUID branchId, CostLine line) {
        super(projectId, position, line.id());
        update(activityId, branchId, line);
    }

    final void update(UUID activity, UUID branch, CostLine line) {
        activityId = activity;
        branchId = branch;
        name = line.name();
        amount = line.amount();
        perDay = line.perDay().orElse(null);
        fixedShare = line.fixedShare();
        timing = line.timing();
        grade = line.grade().orElse(null);
        estimate = line.estimate().map(EstimateJson::write).map(JsonText::of).orElse(null);
        category = line.category();
        instalments = line.instalments().isEmpty() ? null : JsonText.of(MoneyJson.instalments(line.instalments()));
        spent = line.spent().orElse(null);
        toGo = line.toGo().orElse(null);
    }

    CostLine toCore(String on) {
        return new CostLine(
                code(),
                name,
                on,
                amount,
                Optional.ofNullable(perDay),
                fixedShare,
                timing,
                Optional.ofNullable(grade),
                Optional.ofNullable(estimate)
                        .map(text -> JsonText.read(text, at -> EstimateJson.read(at, Basis.FACTOR))),
                category,
                instalments == null ? List.of() : JsonText.read(instalments, MoneyJson::instalments),
                Optional.ofNullable(spent),
                Optional.ofNullable(toGo));
    }

    UUID activityId() {
        return activityId;
    }

    UUID branchId() {
        return branchId;
    }
}
