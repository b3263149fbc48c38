package app.tychon.core.model;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A newer version of a schedule beside the plan that was made of an older one: activities are matched by id. What the
 * analyst has added to an activity, its range, grade, risks and money, stays with it.
 */
public final class PlanUpdate {
    /** What a newer schedule can say of an activity. */
    public enum Field {
        NAME,
        KIND,
        DURATION,
        BRANCH,
        PREDECESSORS,
        CONSTRAINT,
        ACTUAL_START,
        ACTUAL_FINISH,
        REMAINING
    }

    public enum What {
        NEW,
        CHANGED,
        GONE
    }

    /** A field as it is and as it would be, in words; empty where there is nothing. */
    public record FieldChange(Field field, String before, String after) {}

    /**
     * An activity that differs.
     *
     * @param hanging what would go with one that is gone, in words
     */
    public record RowChange(String id, String name, What what, List<FieldChange> fields, List<String> hanging) {}

    private final Plan plan;
    private final Plan newer;
    private final Set<Field> said;
    private final Map<String, Activity> now = new LinkedHashMap<>();
    private final Map<String, Activity> then = new LinkedHashMap<>();
    private final Map<String, List<Link>> into = new HashMap<>();
    private final Map<String, List<Link>> newInto = new HashMap<>();
    private final Map<String, List<String>> paths;
    private final Map<String, List<String>> newPaths;
    private final List<RowChange> changes = new ArrayList<>();

    private PlanUpdate(Plan plan, Plan newer, Set<Field> said) {
        this.plan = plan;
        this.newer = newer;
        this.said = said;
        plan.activities().forEach(a -> now.put(a.id(), a));
        newer.activities().forEach(a -> then.put(a.id(), a));
        plan.links().forEach(l -> into.computeIfAbsent(l.to(), id -> new ArrayList<>())
                .add(l));
        newer.links().forEach(l -> newInto.computeIfAbsent(l.to(), id -> new ArrayList<>())
                .add(l));
        paths = paths(plan);
        newPaths = paths(newer);
        newer.activities().stream()
                .filter(a -> !now.containsKey(a.id()))
                .forEach(a -> changes.add(new RowChange(a.id(), a.name(), What.NEW, List.of(), List.of())));
        newer.activities().stream().filter(a -> now.containsKey(a.id())).forEach(this::compare);
        plan.activities().stream()
                .filter(a -> !then.containsKey(a.id()))
                .forEach(a -> changes.add(new RowChange(a.id(), a.name(), What.GONE, List.of(), hanging(a))));
    }

    /** @param said the fields of which the newer schedule says something; others stay as they are */
    public static PlanUpdate of(Plan plan, Plan newer, Set<Field> said) {
        return new PlanUpdate(plan, newer, said);
    }

    /** New rows, then changed ones, then those that are gone. */
    public List<RowChange> changes() {
        return List.copyOf(changes);
    }

    /** The names of each branch and of those above it, outermost first. */
    private static Map<String, List<String>> paths(Plan plan) {
        Map<String, WbsNode> nodes = plan.wbs().stream().collect(Collectors.toMap(WbsNode::id, node -> node));
        Map<String, List<String>> paths = new HashMap<>();
        for (WbsNode node : plan.wbs()) {
            List<String> path = new ArrayList<>();
            for (WbsNode at = node; at != null; at = at.parent().map(nodes::get).orElse(null)) {
                path.add(0, at.name());
            }
            paths.put(node.id(), path);
        }
        return paths;
    }

    private List<String> hanging(Activity activity) {
        List<String> hanging = new ArrayList<>();
        activity.estimate().ifPresent(e -> hanging.add("its range"));
        activity.grade().ifPresent(g -> hanging.add("its grade"));
        hanging.addAll(Pruning.of(plan, Set.of(activity.id())).gone());
        return hanging;
    }

    private void compare(Activity other) {
        List<FieldChange> fields = new ArrayList<>();
        for (Field field : said) {
            String before = word(field, now.get(other.id()), into, paths);
            String after = word(field, other, newInto, newPaths);
            if (!before.equals(after)) {
                fields.add(new FieldChange(field, before, after));
            }
        }
        if (!fields.isEmpty()) {
            changes.add(new RowChange(other.id(), other.name(), What.CHANGED, fields, List.of()));
        }
    }

    private static String word(
            Field field, Activity a, Map<String, List<Link>> links, Map<String, List<String>> paths) {
        return switch (field) {
            case NAME -> a.name();
            case KIND -> a.kind().name().toLowerCase(Locale.ROOT);
            case DURATION -> a.duration().toString();
            case BRANCH -> String.join(" / ", paths.get(a.wbs()));
            case PREDECESSORS ->
                links.getOrDefault(a.id(), List.of()).stream()
                        .map(PlanUpdate::word)
                        .sorted()
                        .collect(Collectors.joining("; "));
            case CONSTRAINT ->
                a.constraint()
                        .map(c -> c.type().name().toLowerCase(Locale.ROOT).replace('_', ' ') + " " + c.date())
                        .orElse("");
            case ACTUAL_START -> word(a.progress().actualStart());
            case ACTUAL_FINISH -> word(a.progress().actualFinish());
            case REMAINING -> word(a.progress().remaining());
        };
    }

    private static String word(Optional<?> value) {
        return value.map(Objects::toString).orElse("");
    }

    private static String word(Link link) {
        String lag = link.lag().amount() == 0 ? "" : (link.lag().amount() > 0 ? "+" : "") + link.lag();
        return link.type() == LinkType.FS && lag.isEmpty() ? link.from() : link.from() + link.type() + lag;
    }

    /**
     * The plan with the rows that were accepted, and what they need: branches, calendars, links between rows that are
     * there.
     *
     * @param gone is told what went with rows that are gone
     */
    public Plan accept(Set<String> accepted, List<String> gone) {
        List<RowChange> taken =
                changes.stream().filter(c -> accepted.contains(c.id())).toList();
        Set<String> dead = ids(taken, What.GONE);
        Pruning pruning = Pruning.of(plan, dead);
        gone.addAll(pruning.gone());
        UpdatedBranches branches = new UpdatedBranches(pruning.plan(), newer);
        Map<String, Activity> rows = new LinkedHashMap<>();
        pruning.plan().activities().forEach(a -> rows.put(a.id(), a));
        for (RowChange change : taken) {
            Activity other = then.get(change.id());
            if (change.what() == What.NEW) {
                rows.put(other.id(), other.withWbs(branches.of(other.wbs())).withCalendar(calendar(other)));
            } else if (change.what() == What.CHANGED) {
                rows.put(other.id(), changed(rows.get(other.id()), other, change, branches));
            }
        }
        return pruning.plan()
                .edit()
                .project(project(taken))
                .wbs(branches.all())
                .activities(List.copyOf(rows.values()))
                .links(links(pruning.plan(), taken, rows.keySet()))
                .done();
    }

    private static Set<String> ids(List<RowChange> rows, What what) {
        return rows.stream().filter(r -> r.what() == what).map(RowChange::id).collect(Collectors.toSet());
    }

    private Activity changed(Activity own, Activity other, RowChange change, UpdatedBranches branches) {
        Activity row = own;
        Set<Field> fields = EnumSet.noneOf(Field.class);
        change.fields().forEach(f -> fields.add(f.field()));
        row = fields.contains(Field.NAME) ? row.withName(other.name()) : row;
        row = fields.contains(Field.KIND) ? row.withKind(other.kind()).withDuration(other.duration()) : row;
        row = fields.contains(Field.DURATION) ? row.withDuration(other.duration()) : row;
        row = fields.contains(Field.BRANCH) ? row.withWbs(branches.of(other.wbs())) : row;
        row = fields.contains(Field.CONSTRAINT) ? row.withConstraint(other.constraint()) : row;
        Progress before = row.progress();
        Progress after = other.progress();
        return row.withProgress(new Progress(
                fields.contains(Field.ACTUAL_START) ? after.actualStart() : before.actualStart(),
                fields.contains(Field.ACTUAL_FINISH) ? after.actualFinish() : before.actualFinish(),
                fields.contains(Field.REMAINING) ? after.remaining() : before.remaining()));
    }

    /** A calendar is known by its name; what the plan does not have is worked in the project's. */
    private String calendar(Activity other) {
        String name = newer.calendars().stream()
                .filter(c -> c.id().equals(other.calendar()))
                .map(CalendarDefinition::name)
                .findFirst()
                .orElse("");
        return plan.calendars().stream()
                .filter(c -> c.name().equals(name)
                        && !other.calendar().equals(newer.project().calendar()))
                .map(CalendarDefinition::id)
                .findFirst()
                .orElse(plan.project().calendar());
    }

    /** Progress moves the data date on, never back. */
    private Project project(List<RowChange> taken) {
        Project own = plan.project();
        Optional<LocalDateTime> later = newer.project()
                .dataDate()
                .filter(date -> own.dataDate().filter(d -> !d.isBefore(date)).isEmpty());
        return taken.isEmpty() || later.isEmpty() ? own : own.withDataDate(later);
    }

    private List<Link> links(Plan left, List<RowChange> taken, Set<String> there) {
        Set<String> relinked = taken.stream()
                .filter(row ->
                        row.what() == What.NEW || row.fields().stream().anyMatch(f -> f.field() == Field.PREDECESSORS))
                .map(RowChange::id)
                .collect(Collectors.toSet());
        List<Link> links = new ArrayList<>(left.links());
        links.removeIf(link -> relinked.contains(link.to()));
        newer.links().stream()
                .filter(link -> relinked.contains(link.to()) && there.contains(link.from()))
                .forEach(links::add);
        return links;
    }
}
