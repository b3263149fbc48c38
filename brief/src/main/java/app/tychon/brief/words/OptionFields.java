package app.tychon.brief.words;

import app.tychon.brief.ground.Odds;
import app.tychon.brief.ground.Options;
import app.tychon.brief.ground.Options.Option;
import app.tychon.core.model.Action;
import app.tychon.core.model.Risk;
import app.tychon.core.model.RiskSwitch;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What can be said of a scenario: of the one that gains most as {@code option.…}, of any as {@code scenario.ID.…}. */
final class OptionFields {
    private static final Pattern SCENARIO = Pattern.compile("scenario\\.(.+)\\.(\\p{L}+)");

    private final Odds odds;
    private final Telling telling;
    private final double level;
    private final List<String> among;

    /** @param among ids of the scenarios of which the best is the option; none for all */
    OptionFields(Odds odds, Telling telling, double level, List<String> among) {
        this.odds = odds;
        this.telling = telling;
        this.level = level;
        this.among = among;
    }

    private enum What {
        NAME("What gains most"),
        FINISH("The sure finish with it"),
        COST("The sure cost with it"),
        TIME("Days it gains"),
        NOW("What it costs now"),
        MORE("What it changes of the sure cost"),
        BY("When it must begin");

        private final String label;

        What(String label) {
            this.label = label;
        }

        static Optional<What> of(String word) {
            return Stream.of(values())
                    .filter(one -> one.name().equalsIgnoreCase(word))
                    .findFirst();
        }
    }

    void into(Fields fields) {
        for (What what : What.values()) {
            String key = "option." + what.name().toLowerCase(Locale.ROOT);
            fields.put(key, what.label, () -> best().flatMap(option -> say(option, what)));
        }
        fields.pattern(SCENARIO, this::ofScenario);
    }

    /** The scenario that gains most. */
    Optional<Option> best() {
        return Options.best(odds.ground(), level, among);
    }

    private Optional<String> ofScenario(Matcher key) {
        return Options.scenarios(odds.ground(), level).stream()
                .filter(option -> option.scenario().id().equals(key.group(1)))
                .findFirst()
                .flatMap(option -> What.of(key.group(2)).flatMap(what -> say(option, what)));
    }

    private Optional<String> say(Option option, What what) {
        double finish = option.odds().finish().percentile(level);
        double more = option.gap().cost().change();
        return switch (what) {
            case NAME -> Optional.of(option.scenario().name());
            case FINISH -> Optional.of(telling.date(finish));
            case COST -> money(telling.money(option.odds().cost().percentile(level)));
            case TIME ->
                Optional.of(telling.between(odds, finish, option.plan().finish().percentile(level)));
            case NOW ->
                option.gap().now() == 0
                        ? Optional.empty()
                        : Optional.of(telling.money(option.gap().now()));
            case MORE -> money(telling.money(Math.abs(more)) + (more < 0 ? " less" : " more"));
            case BY -> begins(option).map(telling::day);
        };
    }

    private Optional<String> money(String words) {
        return odds.hasMoney() ? Optional.of(words) : Optional.empty();
    }

    /** The first day of what is to be done about risks that it answers. */
    private Optional<LocalDate> begins(Option option) {
        return odds.plan().risks().stream()
                .filter(risk -> option.scenario().of(risk) == RiskSwitch.RESPONSE && !risk.isAnswered())
                .flatMap(OptionFields::planned)
                .map(Action::start)
                .min(LocalDate::compareTo);
    }

    private static Stream<Action> planned(Risk risk) {
        return risk.response().stream()
                .flatMap(response -> response.keptActions().stream())
                .filter(action -> action.state() == Action.State.PLANNED);
    }
}
