package app.tychon.exchange;

import app.tychon.core.model.Shape;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/** A shape with its parameters in the words of the project file; fields of what holds it are passed in. */
final class ShapeJson {
    private static final List<String> SHAPES = List.of(
            "fixed",
            "uniform",
            "triangular",
            "pert",
            "normal",
            "lognormal",
            "beta",
            "gamma",
            "exponential",
            "weibull",
            "discrete",
            "cumulative",
            "sample");

    private ShapeJson() {}

    /** @param around fields that belong to what the shape stands in, which may be there too */
    static Shape read(JsonCursor at, Set<String> around) {
        Shape whole = whole(at, around);
        OptionalDouble min = cut(at, "min");
        OptionalDouble max = cut(at, "max");
        return min.isEmpty() && max.isEmpty() ? whole : new Shape.Truncated(whole, min, max);
    }

    private static OptionalDouble cut(JsonCursor at, String field) {
        return at.optional(field, JsonCursor::number).map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    private static Shape whole(JsonCursor at, Set<String> around) {
        String shape = at.get("shape").isAbsent() ? "" : at.get("shape").text();
        return switch (shape) {
            case "fixed" -> {
                allow(at, around, "value");
                yield new Shape.Fixed(number(at, "value"));
            }
            case "uniform" -> {
                allow(at, around, "low", "high");
                yield new Shape.Uniform(number(at, "low"), number(at, "high"));
            }
            case "triangular" -> {
                allow(at, around, "low", "likely", "high", "lowAt", "highAt");
                yield new Shape.Triangular(number(at, "low"), number(at, "likely"), number(at, "high"), ends(at));
            }
            case "pert" -> {
                allow(at, around, "low", "likely", "high", "weight", "lowAt", "highAt");
                double weight = at.optional("weight", JsonCursor::number).orElse(Shape.Pert.USUAL_WEIGHT);
                yield new Shape.Pert(number(at, "low"), number(at, "likely"), number(at, "high"), weight, ends(at));
            }
            case "normal" -> {
                allow(at, around, "mean", "sd");
                yield new Shape.Normal(number(at, "mean"), number(at, "sd"));
            }
            case "lognormal" -> {
                allow(at, around, "mean", "sd");
                yield new Shape.Lognormal(number(at, "mean"), number(at, "sd"));
            }
            case "beta" -> {
                allow(at, around, "alpha", "beta", "low", "high");
                yield new Shape.Beta(number(at, "alpha"), number(at, "beta"), number(at, "low"), number(at, "high"));
            }
            case "gamma" -> {
                allow(at, around, "shapeParameter", "scale");
                yield new Shape.Gamma(number(at, "shapeParameter"), number(at, "scale"));
            }
            case "exponential" -> {
                allow(at, around, "mean");
                yield new Shape.Exponential(number(at, "mean"));
            }
            case "weibull" -> {
                allow(at, around, "shapeParameter", "scale");
                yield new Shape.Weibull(number(at, "shapeParameter"), number(at, "scale"));
            }
            case "discrete" -> {
                allow(at, around, "values");
                yield new Shape.Discrete(at.get("values").elements(ShapeJson::point));
            }
            case "cumulative" -> {
                allow(at, around, "points");
                yield new Shape.Cumulative(at.get("points").elements(ShapeJson::point));
            }
            case "sample" -> {
                allow(at, around, "values");
                yield new Shape.Sample(at.get("values").elements(JsonCursor::number));
            }
            default -> {
                at.get("shape")
                        .problem("must be one of " + String.join(", ", SHAPES) + ", not "
                                + at.get("shape").quoted());
                yield new Shape.Fixed(1);
            }
        };
    }

    private static void allow(JsonCursor at, Set<String> around, String... parameters) {
        Set<String> allowed = new HashSet<>(around);
        allowed.addAll(Set.of("shape", "min", "max"));
        allowed.addAll(List.of(parameters));
        at.allow(allowed);
    }

    private static double number(JsonCursor at, String field) {
        return at.get(field).number();
    }

    private static Shape.Ends ends(JsonCursor at) {
        return new Shape.Ends(
                at.optional("lowAt", JsonCursor::number).orElse(0.0),
                at.optional("highAt", JsonCursor::number).orElse(1.0));
    }

    private static Shape.Point point(JsonCursor at) {
        List<Double> pair = at.elements(JsonCursor::number);
        if (pair.size() == 2) {
            return new Shape.Point(pair.get(0), pair.get(1));
        }
        at.problem("a point is a pair of numbers, a value and its chance");
        return new Shape.Point(0, 0);
    }

    static ObjectNode write(Shape shape) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        if (shape instanceof Shape.Truncated s) {
            node = write(s.whole());
            put(node, "min", s.min());
            put(node, "max", s.max());
        } else if (shape instanceof Shape.Fixed s) {
            parameters(node, "fixed", "value", s.value());
        } else if (shape instanceof Shape.Uniform s) {
            parameters(node, "uniform", "low", s.low(), "high", s.high());
        } else if (shape instanceof Shape.Triangular s) {
            parameters(node, "triangular", "low", s.low(), "likely", s.likely(), "high", s.high());
            ends(node, s.ends());
        } else if (shape instanceof Shape.Pert s) {
            parameters(node, "pert", "low", s.low(), "likely", s.likely(), "high", s.high());
            if (s.weight() != Shape.Pert.USUAL_WEIGHT) {
                Numbers.put(node, "weight", s.weight());
            }
            ends(node, s.ends());
        } else if (shape instanceof Shape.Normal s) {
            parameters(node, "normal", "mean", s.mean(), "sd", s.sd());
        } else if (shape instanceof Shape.Lognormal s) {
            parameters(node, "lognormal", "mean", s.mean(), "sd", s.sd());
        } else if (shape instanceof Shape.Beta s) {
            parameters(node, "beta", "alpha", s.alpha(), "beta", s.beta(), "low", s.low(), "high", s.high());
        } else if (shape instanceof Shape.Gamma s) {
            parameters(node, "gamma", "shapeParameter", s.shapeParameter(), "scale", s.scale());
        } else if (shape instanceof Shape.Exponential s) {
            parameters(node, "exponential", "mean", s.mean());
        } else if (shape instanceof Shape.Weibull s) {
            parameters(node, "weibull", "shapeParameter", s.shapeParameter(), "scale", s.scale());
        } else if (shape instanceof Shape.Discrete s) {
            points(node.put("shape", "discrete").putArray("values"), s.values());
        } else if (shape instanceof Shape.Cumulative s) {
            points(node.put("shape", "cumulative").putArray("points"), s.points());
        } else if (shape instanceof Shape.Sample s) {
            ArrayNode values = node.put("shape", "sample").putArray("values");
            s.values().forEach(values::add);
        }
        return node;
    }

    /** Writes the name of a shape and its parameters, given as names and values in turn. */
    private static void parameters(ObjectNode node, String shape, Object... namesAndValues) {
        node.put("shape", shape);
        for (int i = 0; i < namesAndValues.length; i += 2) {
            Numbers.put(node, (String) namesAndValues[i], (Double) namesAndValues[i + 1]);
        }
    }

    private static void put(ObjectNode node, String field, OptionalDouble value) {
        if (value.isPresent()) {
            Numbers.put(node, field, value.getAsDouble());
        }
    }

    private static void ends(ObjectNode node, Shape.Ends ends) {
        if (!ends.equals(Shape.Ends.LIMITS)) {
            Numbers.put(node, "lowAt", ends.lowAt());
            Numbers.put(node, "highAt", ends.highAt());
        }
    }

    private static void points(ArrayNode array, List<Shape.Point> points) {
        points.forEach(point -> array.addArray().add(point.value()).add(point.chance()));
    }
}
