package app.tychon.exchange.risks;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scheme;
import app.tychon.core.model.Strategy;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.Words;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.DateWords;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Reads a risk register out of a table: for each row the fields of a risk that it gives, as edits of risks take them. Risks
 * are known by their codes, else by their titles. A column that is not there leaves what it would say as it is.
 */
public final class RegisterReader {
    private final Table table;
    private final Plan plan;
    private final Map<RiskColumn, Integer> columns;
    private final boolean shares;
    private final DateWords dates;
    private final Map<String, String> byCode = new HashMap<>();
    private final Map<String, String> byTitle = new HashMap<>();
    private final Map<String, String> words = new HashMap<>();
    private final List<Line> lines = new ArrayList<>();
    private final List<CellProblem> problems = new ArrayList<>();

    private RegisterReader(Table table, Map<RiskColumn, Integer> columns, Plan plan) {
        this.table = table;
        this.plan = plan;
        this.columns = columns;
        shares = columns.containsKey(RiskColumn.CHANCE)
                && RegisterColumns.areShares(table, columns.get(RiskColumn.CHANCE));
        dates = DateWords.of(DateWords.order(table.rows().stream()
                .flatMap(row -> List.of(RiskColumn.FROM, RiskColumn.TO).stream()
                        .filter(columns::containsKey)
                        .map(column -> row.cell(columns.get(column))))
                .toList()));
        plan.risks().forEach(risk -> {
            byCode.put(small(risk.id()), risk.id());
            byTitle.putIfAbsent(small(risk.title()), risk.id());
        });
        for (Risk.Kind kind : Risk.Kind.values()) {
            words.put("kind " + small(kind.name()), Words.of(kind));
        }
        words.put("kind risk", "threat");
        words.put("kind chance", "opportunity");
        for (Risk.State state : Risk.State.values()) {
            words.put("state " + small(state.name()), Words.of(state));
        }
        words.put("state draft", "proposed");
        words.put("state active", "open");
        words.put("state issue", "occurred");
        for (Strategy strategy : Strategy.values()) {
            words.put("strategy " + small(strategy.name()), Words.of(strategy));
        }
    }

    /**
     * A row that names a risk.
     *
     * @param row   as the file counts them
     * @param known whether the register has the risk already
     * @param edit  the fields it gives, with {@code id}, and {@code add} for a new risk
     */
    public record Line(int row, boolean known, ObjectNode edit) {}

    /**
     * What a table says.
     *
     * @param gone codes of risks that the register has and the table has not
     * @param problems cells that cannot be understood
     */
    public record Read(List<Line> lines, List<String> gone, List<CellProblem> problems) {}

    private static String small(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }

    public static Read read(Table table, Map<RiskColumn, Integer> columns, Plan plan) {
        return new RegisterReader(table, columns, plan).read();
    }

    private Read read() {
        if (!columns.containsKey(RiskColumn.TITLE) && !columns.containsKey(RiskColumn.CODE)) {
            problems.add(new CellProblem(1, "Title", "no column is headed \"Title\" or \"Code\", so no risk is known"));
            return new Read(List.of(), List.of(), problems);
        }
        Set<String> seen = new HashSet<>();
        for (Row row : table.rows()) {
            String code = cell(row, RiskColumn.CODE);
            String title = cell(row, RiskColumn.TITLE);
            if (code.isEmpty() && title.isEmpty()) {
                continue;
            }
            Optional<String> known = Optional.ofNullable(byCode.get(small(code)))
                    .or(() -> code.isEmpty() ? Optional.ofNullable(byTitle.get(small(title))) : Optional.empty());
            String id = known.orElse(code);
            if (!id.isEmpty() && !seen.add(id)) {
                problem(row, RiskColumn.CODE, "\"" + id + "\" stands in the table twice");
                continue;
            }
            lines.add(new Line(row.number(), known.isPresent(), edit(row, id, known.isPresent())));
        }
        List<String> gone = plan.risks().stream()
                .map(Risk::id)
                .filter(id -> !seen.contains(id))
                .toList();
        return new Read(lines, gone, problems);
    }

    private String cell(Row row, RiskColumn column) {
        return columns.containsKey(column) ? row.cell(columns.get(column)) : "";
    }

    private void problem(Row row, RiskColumn column, String message) {
        problems.add(new CellProblem(row.number(), column.title(), message));
    }

    private ObjectNode edit(Row row, String id, boolean known) {
        ObjectNode edit = JsonNodeFactory.instance.objectNode();
        edit.put("id", id);
        if (!known) {
            edit.put("add", true);
        }
        for (RiskColumn column : columns.keySet()) {
            String text = cell(row, column);
            switch (column) {
                case CODE -> {}
                case KIND, STATE, STRATEGY -> word(row, column, text, edit);
                case FROM, TO -> date(row, column, text, edit);
                case CHANCE, CHANCE_AFTER -> chance(column, text, edit);
                case TIME, MONEY, TIME_AFTER, MONEY_AFTER -> effect(column, text, edit, known);
                case SCORE, SCORE_AFTER -> score(row, column, text, edit);
                case MORE -> more(row, text, edit);
                case TITLE -> {
                    if (!text.isEmpty()) {
                        edit.put(column.field(), text);
                    }
                }
                default -> edit.put(column.field(), text);
            }
        }
        return edit;
    }

    private void word(Row row, RiskColumn column, String text, ObjectNode edit) {
        String word = words.get(column.field() + " " + small(text));
        if (word != null) {
            edit.put(column.field(), word);
        } else if (column == RiskColumn.STRATEGY && text.isEmpty()) {
            edit.putNull(column.field());
        } else if (!text.isEmpty()) {
            String choices = words.entrySet().stream()
                    .filter(entry -> entry.getKey().startsWith(column.field() + " "))
                    .map(Map.Entry::getValue)
                    .distinct()
                    .sorted()
                    .collect(Collectors.joining(", "));
            problem(row, column, "must be one of " + choices + ", not \"" + text + "\"");
        }
    }

    private void date(Row row, RiskColumn column, String text, ObjectNode edit) {
        if (text.isEmpty()) {
            edit.putNull(column.field());
            return;
        }
        dates.read(text)
                .ifPresentOrElse(
                        moment -> edit.put(column.field(), moment.day().toString()),
                        () -> problem(row, column, "\"" + text + "\" is no date; one reads as 2027-03-01"));
    }

    private void chance(RiskColumn column, String text, ObjectNode edit) {
        if (!text.isEmpty()) {
            edit.put(
                    column.field(),
                    shares && column == RiskColumn.CHANCE
                            ? Amounts.text(new BigDecimal(text.replace(',', '.')).movePointRight(2))
                            : text);
        }
    }

    /** Of a new risk, an effect that is not said is none. */
    private static void effect(RiskColumn column, String text, ObjectNode edit, boolean known) {
        boolean ofResponse = column == RiskColumn.TIME_AFTER || column == RiskColumn.MONEY_AFTER;
        if (!text.isEmpty() || known && !ofResponse) {
            edit.put(column.field(), text);
        }
    }

    /** "chance 3, time 4", by number or by the words of the scheme: "chance possible, time great". */
    private void score(Row row, RiskColumn column, String text, ObjectNode edit) {
        if (text.isEmpty()) {
            edit.putNull(column.field());
            return;
        }
        if (plan.scheme().isEmpty()) {
            return;
        }
        Scheme scheme = plan.scheme().get();
        ObjectNode score = JsonNodeFactory.instance.objectNode();
        for (String part : text.split("[,;]")) {
            String[] said = part.strip().split("\\s+", 2);
            List<Scheme.Level> levels = said[0].equals("chance")
                    ? scheme.chance()
                    : scheme.scale(said[0]).map(Scheme.Scale::levels).orElse(List.of());
            Optional<Integer> level = said.length < 2 ? Optional.empty() : level(levels, said[1]);
            if (level.isEmpty()) {
                problem(row, column, "\"" + part.strip() + "\" is no score; one reads as \"chance 3, time 4\"");
                return;
            }
            score.put(said[0], level.get());
        }
        edit.set(column.field(), score);
    }

    private static Optional<Integer> level(List<Scheme.Level> levels, String text) {
        for (int i = 0; i < levels.size(); i++) {
            if (small(levels.get(i).name()).equals(small(text))
                    || String.valueOf(i + 1).equals(text.strip())) {
                return Optional.of(i + 1);
            }
        }
        return Optional.empty();
    }

    private void more(Row row, String text, ObjectNode edit) {
        if (text.isEmpty()) {
            return;
        }
        try {
            edit.setAll(JsonText.object(text));
        } catch (IllegalArgumentException e) {
            problem(row, RiskColumn.MORE, e.getMessage());
        }
    }
}
