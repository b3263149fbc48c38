package app.tychon.brief.blocks;

import app.tychon.core.model.Action;
import app.tychon.core.model.Risk;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What is to be done about risks, by whom and when. */
final class ToDo {
    private static final int USUAL_ROWS = 30;

    private ToDo() {}

    private record Task(Risk risk, Action action) {
        String who() {
            return action.owner().isBlank() ? risk.owner() : action.owner();
        }
    }

    static Content of(Scene scene) {
        List<Task> tasks = scene.plan().risks().stream()
                .filter(Risk::isLive)
                .flatMap(risk -> risk.response().stream()
                        .flatMap(response -> response.keptActions().stream())
                        .map(action -> new Task(risk, action)))
                .filter(task -> scene.block().owner().isEmpty()
                        || scene.block().owner().equalsIgnoreCase(task.who().strip()))
                .filter(task -> task.action().state() != Action.State.DONE)
                .sorted(Comparator.comparing((Task task) -> task.action().start())
                        .thenComparing(task -> task.risk().id()))
                .toList();
        if (tasks.isEmpty()) {
            return Content.words(List.of("Nothing is to be done about risks."));
        }
        LocalDate today = scene.ground().run().recorded().toLocalDate();
        LocalDate now = scene.plan()
                .project()
                .dataDate()
                .map(date -> date.toLocalDate())
                .orElse(today);
        long late = tasks.stream()
                .filter(task -> task.action().finish().isBefore(now))
                .count();
        scene.fields().always("actions.count", "How much is to be done", () -> scene.telling()
                .count(tasks.size(), "action is open", "actions are open"));
        scene.fields().always("actions.cost", "What that costs", () -> scene.telling()
                .money(tasks.stream().mapToDouble(task -> task.action().cost()).sum()));
        scene.fields()
                .put(
                        "actions.late",
                        "How much of it is overdue",
                        () -> late == 0
                                ? Optional.empty()
                                : Optional.of(scene.telling().count(late, "is overdue", "are overdue")));
        scene.fields().always("actions.next", "What begins next", () -> next(tasks, now)
                .action()
                .name());
        scene.fields().always("actions.next.by", "When that begins", () -> scene.telling()
                .day(next(tasks, now).action().start()));
        List<String> words = new ArrayList<>();
        words.add("{actions.count}, for {actions.cost} in all. Next: {actions.next}, from {actions.next.by}.");
        words.addAll(scene.where("actions.late", "Of them {actions.late}."));
        return new Content(words, Optional.empty(), Optional.of(grid(scene, tasks)), List.of());
    }

    private static Task next(List<Task> tasks, LocalDate now) {
        return tasks.stream()
                .filter(task -> !task.action().start().isBefore(now))
                .findFirst()
                .orElse(tasks.get(0));
    }

    private static Grid grid(Scene scene, List<Task> tasks) {
        return Grid.of(
                tasks.subList(0, Math.min(tasks.size(), scene.rows(USUAL_ROWS))).stream()
                        .map(task -> List.of(
                                task.action().name(),
                                task.risk().id() + " " + task.risk().title(),
                                task.who().isBlank() ? "nobody" : task.who(),
                                scene.telling().shortDay(task.action().start()),
                                scene.telling().shortDay(task.action().finish()),
                                task.action().cost() == 0
                                        ? "–"
                                        : scene.telling().money(task.action().cost()),
                                state(task)))
                        .toList(),
                "Action",
                "For the risk",
                "Who",
                "#From",
                "#To",
                "#Cost",
                "State");
    }

    private static String state(Task task) {
        if (!task.risk().isAnswered()) {
            return "not decided";
        }
        return task.action().state() == Action.State.UNDER_WAY ? "under way" : "planned";
    }
}
