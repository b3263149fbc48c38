package app.tychon.server.drivers;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/**
 * An uncertain quantity of the plan.
 *
 * @param key  what it is asked for by: its kind, id and impact, as in {@code estimate:S20:0}
 * @param kind estimate, cost, occurrence, impact, risk or group
 * @param id   code of the activity, cost line or risk, or id of the group
 * @param mark estimate, threat, opportunity or money: how it is told apart from others
 */
public record InputView(String key, String kind, String id, String name, String mark) {

    /** Makes views of the inputs of one plan. */
    public static final class Words {
        private final Map<String, Risk> risks = new HashMap<>();

        public Words(Plan plan) {
            plan.risks().forEach(risk -> risks.put(risk.id(), risk));
        }

        public InputView of(Input input) {
            return new InputView(text(input.key()), kind(input.kind()), input.id(), name(input), mark(input));
        }

        private String name(Input input) {
            return switch (input.kind()) {
                case OCCURRENCE -> input.name() + ": whether it strikes";
                case IMPACT ->
                    input.name() + ": how hard"
                            + (risks.get(input.id()).presentImpacts().size() > 1
                                    ? ", effect " + (input.key().impact() + 1)
                                    : "");
                case ESTIMATE, COST, PRICE, RISK, GROUP -> input.name();
            };
        }

        private String mark(Input input) {
            return switch (input.kind()) {
                case ESTIMATE, GROUP -> "estimate";
                case COST, PRICE -> "money";
                case OCCURRENCE, IMPACT, RISK ->
                    risks.get(input.id()).kind().name().toLowerCase(Locale.ROOT);
            };
        }
    }

    static String text(Key key) {
        return kind(key.kind()) + ":" + key.id() + ":" + key.impact();
    }

    private static String kind(Kind kind) {
        return kind.name().toLowerCase(Locale.ROOT);
    }

    /**
     * A key out of its text.
     *
     * @throws IllegalArgumentException where it is none
     */
    static Key key(String text) {
        int first = text.indexOf(':');
        int last = text.lastIndexOf(':');
        try {
            return new Key(
                    Kind.valueOf(text.substring(0, first).toUpperCase(Locale.ROOT)),
                    text.substring(first + 1, last),
                    Integer.parseInt(text.substring(last + 1)));
        } catch (RuntimeException e) {
            throw new IllegalArgumentException("\"" + text + "\" names no input, as in estimate:S20:0", e);
        }
    }
}
