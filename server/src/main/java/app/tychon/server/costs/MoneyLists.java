package app.tychon.server.costs;

import app.tychon.core.model.Escalation;
import app.tychon.core.model.Funding;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.MoneyJson;
import app.tychon.exchange.costs.MoneyText;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What is put in place as a whole: how prices rise, and what is available from when on. */
final class MoneyLists {
    private MoneyLists() {}

    /**
     * By how much prices of a category rise; it describes the JSON only.
     *
     * @param category empty for all
     * @param perYear  a number, 0.04 for four percent, or a shape in the words of the project file
     */
    record EscalationWords(@Nullable String category, Object perYear) {}

    /**
     * A step of funding; it describes the JSON only.
     *
     * @param amount as people write it, 900k
     */
    record FundingWords(LocalDate date, String amount, @Nullable String name) {}

    /** @param definition a list in the words of the project file */
    record EscalationEdit(JsonNode definition) implements Edit {
        @Override
        public Outcome apply(Plan plan) {
            List<Problem> problems = new ArrayList<>();
            List<Escalation> all = JsonCursor.at(definition, problems).elements(MoneyJson::escalation);
            refuse(problems);
            return new Outcome(plan.withEscalation(all), all.isEmpty() ? "Prices stay as they are" : "Rising prices");
        }

        @Override
        public Problem told(Plan plan, Problem problem) {
            return within(problem, "escalation");
        }
    }

    /** @param definition a list in the words of the project file; amounts may be texts */
    record FundingEdit(JsonNode definition) implements Edit {
        @Override
        public Outcome apply(Plan plan) {
            List<Problem> problems = new ArrayList<>();
            String currency = plan.project().currency();
            List<Funding> all = JsonCursor.at(definition, problems).elements(at -> step(at, currency));
            refuse(problems);
            return new Outcome(
                    plan.withFunding(all.stream()
                            .sorted(Comparator.comparing(Funding::date))
                            .toList()),
                    all.isEmpty()
                            ? "Funding removed"
                            : "Funding in " + all.size() + (all.size() == 1 ? " step" : " steps"));
        }

        private static Funding step(JsonCursor at, String currency) {
            JsonCursor amount = at.get("amount");
            if (amount.isAbsent() || amount.isNumber()) {
                return MoneyJson.funding(at);
            }
            double money = 0;
            try {
                money = MoneyText.read(amount.text(), currency);
            } catch (IllegalArgumentException e) {
                amount.problem(e.getMessage());
            }
            return new Funding(
                    at.get("date").date(),
                    money,
                    at.optional("name", JsonCursor::text).orElse(""));
        }

        /** Steps are put in the order of their days, so a problem is told by the day it is about. */
        @Override
        public Problem told(Plan plan, Problem problem) {
            String[] parts = problem.pointer().split("/");
            if (parts.length < 3 || !parts[1].equals("funding")) {
                return problem;
            }
            String day = plan.funding().get(Integer.parseInt(parts[2])).date().toString();
            for (int i = 0; i < definition.size(); i++) {
                if (definition.get(i).path("date").asText().equals(day)) {
                    return new Problem("/" + i + (parts.length > 3 ? "/" + parts[3] : ""), problem.message());
                }
            }
            return within(problem, "funding");
        }
    }

    private static void refuse(List<Problem> problems) {
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
    }

    private static Problem within(Problem problem, String section) {
        return new Problem(problem.pointer().replaceFirst("^/" + section, ""), problem.message());
    }
}
