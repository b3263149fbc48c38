package app.tychon.exchange.costs;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Shape;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.Numbers;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The range of an amount in a cell: {@code triangular 90..100..140 %}, {@code pert 380000..410000..520000}, {@code 90..120 %};
 * what that cannot say in the words of the project file.
 */
final class RangeCell {
    private static final Pattern FORM =
            Pattern.compile("(?i)(triangular|pert|uniform)?\\s*([^.\\s][^%]*?\\.\\.[^%]*?)\\s*(%?)");
    private static final double PERCENT = 100;

    private RangeCell() {}

    /** In the words of the project file. @throws IllegalArgumentException with the reason */
    static ObjectNode read(String text, String currency) {
        if (text.strip().startsWith("{")) {
            return JsonText.object(text);
        }
        Matcher form = FORM.matcher(text.strip());
        if (!form.matches()) {
            throw new IllegalArgumentException(
                    "\"" + text.strip() + "\" is no range; one reads as 90..100..140 %, or 380k..410k..520k");
        }
        boolean percent = form.group(3).equals("%");
        List<Double> points = new ArrayList<>();
        for (String point : form.group(2).split("\\.\\.")) {
            double value = MoneyText.read(point, currency);
            points.add(percent ? value / PERCENT : value);
        }
        if (points.size() > 3) {
            throw new IllegalArgumentException("a range has two or three points, not " + points.size());
        }
        String said = form.group(1) == null ? "" : form.group(1).toLowerCase(Locale.ROOT);
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("shape", points.size() == 2 ? "uniform" : said.isEmpty() ? "triangular" : said);
        node.put("low", points.get(0));
        if (points.size() == 3) {
            node.put("likely", points.get(1));
        }
        node.put("high", points.get(points.size() - 1));
        node.put("basis", percent ? "factor" : "money");
        return node;
    }

    /** A text that is read as the same. */
    static String of(Estimate estimate) {
        Shape shape = estimate.shape();
        if (shape.isSaidByPoints() && shape instanceof Shape.Triangular s) {
            return "triangular " + points(estimate.basis(), s.low(), s.likely(), s.high());
        }
        if (shape.isSaidByPoints() && shape instanceof Shape.Pert s) {
            return "pert " + points(estimate.basis(), s.low(), s.likely(), s.high());
        }
        if (shape.isSaidByPoints() && shape instanceof Shape.Uniform s) {
            return "uniform " + points(estimate.basis(), s.low(), s.high());
        }
        return JsonText.of(EstimateJson.write(estimate));
    }

    private static String points(Basis basis, double... points) {
        boolean percent = basis == Basis.FACTOR;
        StringBuilder text = new StringBuilder();
        for (double point : points) {
            text.append(text.isEmpty() ? "" : "..").append(Numbers.text(percent ? PERCENT * point : point));
        }
        return text + (percent ? " %" : "");
    }
}
