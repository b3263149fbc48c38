package app.tychon.core.programme;

import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

/** Money of one currency in another. A worth of 1 changes nothing, to the bit. */
final class Conversion {
    private final double worth;

    Conversion(double worth) {
        this.worth = worth;
    }

    double of(double money) {
        return worth * money;
    }

    CostLine of(CostLine line) {
        return line.withAmount(of(line.amount()))
                .withPerDay(line.perDay().map(this::of))
                .withSpent(line.spent().map(this::of))
                .withToGo(line.toGo().map(this::of))
                .withEstimate(line.estimate().map(this::of));
    }

    Resource of(Resource resource) {
        return resource.withRate(of(resource.rate()))
                .withRates(resource.rates().stream()
                        .map(one -> new Resource.RateFrom(one.from(), of(one.rate())))
                        .toList());
    }

    Funding of(Funding step) {
        return new Funding(step.date(), of(step.amount()), step.name());
    }

    Action of(Action action) {
        return new Action(
                action.name(),
                of(action.cost()),
                action.start(),
                action.finish(),
                action.owner(),
                action.state(),
                action.progress(),
                action.done());
    }

    Impact of(Impact impact) {
        return new Impact(impact.on(), impact.effect(), impact.draw(), of(impact.distribution()));
    }

    private Estimate of(Estimate estimate) {
        return estimate.basis() == Basis.MONEY ? new Estimate(of(estimate.shape()), Basis.MONEY) : estimate;
    }

    private Shape of(Shape shape) {
        if (shape instanceof Shape.Fixed s) {
            return new Shape.Fixed(of(s.value()));
        }
        if (shape instanceof Shape.Uniform s) {
            return new Shape.Uniform(of(s.low()), of(s.high()));
        }
        if (shape instanceof Shape.Triangular s) {
            return new Shape.Triangular(of(s.low()), of(s.likely()), of(s.high()), s.ends());
        }
        if (shape instanceof Shape.Pert s) {
            return new Shape.Pert(of(s.low()), of(s.likely()), of(s.high()), s.weight(), s.ends());
        }
        if (shape instanceof Shape.Normal s) {
            return new Shape.Normal(of(s.mean()), of(s.sd()));
        }
        if (shape instanceof Shape.Beta s) {
            return new Shape.Beta(s.alpha(), s.beta(), of(s.low()), of(s.high()));
        }
        if (shape instanceof Shape.Positive s) {
            return of(s);
        }
        if (shape instanceof Shape.Truncated s) {
            return new Shape.Truncated(of(s.whole()), map(s.min(), this::of), map(s.max(), this::of));
        }
        return ofData(shape);
    }

    private Shape of(Shape.Positive shape) {
        if (shape instanceof Shape.Lognormal s) {
            return new Shape.Lognormal(of(s.mean()), of(s.sd()));
        }
        if (shape instanceof Shape.Gamma s) {
            return new Shape.Gamma(s.shapeParameter(), of(s.scale()));
        }
        if (shape instanceof Shape.Exponential s) {
            return new Shape.Exponential(of(s.mean()));
        }
        Shape.Weibull s = (Shape.Weibull) shape;
        return new Shape.Weibull(s.shapeParameter(), of(s.scale()));
    }

    private Shape ofData(Shape shape) {
        if (shape instanceof Shape.Discrete s) {
            return new Shape.Discrete(points(s.values()));
        }
        if (shape instanceof Shape.Cumulative s) {
            return new Shape.Cumulative(points(s.points()));
        }
        Shape.Sample s = (Shape.Sample) shape;
        return new Shape.Sample(s.values().stream().map(this::of).toList());
    }

    private List<Shape.Point> points(List<Shape.Point> points) {
        return points.stream()
                .map(point -> new Shape.Point(of(point.value()), point.chance()))
                .toList();
    }

    private static OptionalDouble map(OptionalDouble value, DoubleUnaryOperator to) {
        return value.isPresent() ? OptionalDouble.of(to.applyAsDouble(value.getAsDouble())) : value;
    }
}
