package app.tychon.server.plan;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Delta;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.Grade;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Risk;
import app.tychon.core.model.WbsNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Brings the tables from one version of a plan to another: rows that differ are written, no others. */
@Component
class PlanWriter {
    private final PlanRecords records;

    PlanWriter(PlanRecords records) {
        this.records = records;
    }

    /** Makes a row of a part of a plan. */
    @FunctionalInterface
    private interface Maker<T, E> {
        E make(UUID project, int position, T part);
    }

    /** Rows are removed last, when nothing that stays refers to them any more. */
    void write(UUID project, Plan before, Plan after) {
        List<Runnable> removals = new ArrayList<>();
        removals.add(parts(
                project,
                CalendarEntity.class,
                before.calendars(),
                after.calendars(),
                CalendarDefinition::id,
                CalendarEntity::new));
        removals.add(parts(project, GradeEntity.class, before.grades(), after.grades(), Grade::id, GradeEntity::new));
        removals.add(parts(
                project,
                CorrelationEntity.class,
                before.correlations(),
                after.correlations(),
                Correlation::id,
                CorrelationEntity::new));
        removals.add(parts(
                project,
                ResourceEntity.class,
                before.resources(),
                after.resources(),
                Resource::id,
                ResourceEntity::new));
        removals.add(parts(project, RiskEntity.class, before.risks(), after.risks(), Risk::id, RiskEntity::new));
        removals.add(parts(
                project,
                AcceptanceEntity.class,
                before.accepted(),
                after.accepted(),
                Acceptance::key,
                AcceptanceEntity::new));
        removals.add(parts(
                project, EvidenceEntity.class, before.evidence(), after.evidence(), Evidence::id, EvidenceEntity::new));
        removals.add(branches(project, before.wbs(), after.wbs()));
        removals.add(activities(project, before.activities(), after.activities()));
        links(project, before.links(), after.links());
        removals.add(costs(project, before.costs(), after.costs()));
        assignments(project, before.assignments(), after.assignments());
        records.flush();
        for (int i = removals.size() - 1; i >= 0; i--) {
            removals.get(i).run();
        }
    }

    private <T, E extends PartEntity> Runnable parts(
            UUID project, Class<E> kind, List<T> before, List<T> after, Function<T, String> key, Maker<T, E> maker) {
        return rows(project, kind, before, after, key, maker, (row, part) -> row.define(maker.make(project, 0, part)));
    }

    /** Inserts, changes and moves rows of a kind; what it returns removes those that are gone. */
    private <T, E extends RowEntity> Runnable rows(
            UUID project,
            Class<E> kind,
            List<T> before,
            List<T> after,
            Function<T, String> key,
            Maker<T, E> maker,
            BiConsumer<E, T> update) {
        Delta<T> delta = Delta.of(before, after, key);
        Map<String, T> changed = delta.changed().stream().collect(Collectors.toMap(key, Function.identity()));
        records.of(project, kind, changed.keySet()).forEach(row -> update.accept(row, changed.get(row.code())));
        if (!delta.added().isEmpty() || !delta.moved().isEmpty()) {
            Map<String, Integer> known = before.isEmpty() ? Map.of() : records.positions(project, kind);
            Set<String> added = delta.added().stream().map(key).collect(Collectors.toSet());
            Map<String, Integer> places = Places.of(
                    after.stream().map(key).toList(),
                    known,
                    row -> !added.contains(row) && !delta.moved().contains(row));
            delta.added().forEach(part -> records.insert(maker.make(project, places.get(key.apply(part)), part)));
            List<String> moved =
                    places.keySet().stream().filter(row -> !added.contains(row)).toList();
            records.of(project, kind, moved).forEach(row -> row.moveTo(places.get(row.code())));
        }
        return () -> records.delete(project, kind, delta.removed());
    }

    private Runnable branches(UUID project, List<WbsNode> before, List<WbsNode> after) {
        if (before.equals(after)) {
            return () -> {};
        }
        Runnable removal =
                rows(project, BranchEntity.class, before, after, WbsNode::id, BranchEntity::new, BranchEntity::update);
        // A parent may come after its child; it is named once all are there.
        records.flush();
        Delta<WbsNode> delta = Delta.of(before, after, WbsNode::id);
        Map<String, WbsNode> touched = new HashMap<>();
        delta.added().forEach(node -> touched.put(node.id(), node));
        delta.changed().forEach(node -> touched.put(node.id(), node));
        Map<String, UUID> keys = records.keys(project, BranchEntity.class);
        records.of(project, BranchEntity.class, touched.keySet())
                .forEach(row -> row.setParent(
                        touched.get(row.code()).parent().map(keys::get).orElse(null)));
        return removal;
    }

    private Runnable activities(UUID project, List<Activity> before, List<Activity> after) {
        if (before.equals(after)) {
            return () -> {};
        }
        records.flush();
        Map<String, UUID> branches = records.keys(project, BranchEntity.class);
        Map<String, UUID> calendars = records.keys(project, CalendarEntity.class);
        Runnable removal = rows(
                project,
                ActivityEntity.class,
                before,
                after,
                Activity::id,
                (id, at, a) -> new ActivityEntity(id, at, branches.get(a.wbs()), calendars.get(a.calendar()), a),
                (row, a) -> row.update(branches.get(a.wbs()), calendars.get(a.calendar()), a));
        records.flush();
        return removal;
    }

    private void links(UUID project, List<Link> before, List<Link> after) {
        Delta<Into<Link>> delta = Into.delta(before, after, Link::to);
        if (delta.isEmpty()) {
            return;
        }
        Map<String, UUID> activities = records.keys(project, ActivityEntity.class);
        records.deleteLinksInto(Into.rewritten(delta, activities));
        int at = records.end(project, LinkEntity.class);
        // A new plan keeps the order its author gave it.
        for (Link link : before.isEmpty() ? after : Into.written(delta)) {
            records.insert(new LinkEntity(project, at++, activities.get(link.from()), activities.get(link.to()), link));
        }
    }

    private void assignments(UUID project, List<Assignment> before, List<Assignment> after) {
        Delta<Into<Assignment>> delta = Into.delta(before, after, Assignment::activity);
        if (delta.isEmpty()) {
            return;
        }
        Map<String, UUID> activities = records.keys(project, ActivityEntity.class);
        Map<String, UUID> resources = records.keys(project, ResourceEntity.class);
        records.deleteAssignmentsOf(Into.rewritten(delta, activities));
        int at = records.end(project, AssignmentEntity.class);
        for (Assignment one : before.isEmpty() ? after : Into.written(delta)) {
            records.insert(new AssignmentEntity(
                    project, at++, activities.get(one.activity()), resources.get(one.resource()), one.units()));
        }
    }

    private Runnable costs(UUID project, List<CostLine> before, List<CostLine> after) {
        if (before.equals(after)) {
            return () -> {};
        }
        Map<String, UUID> activities = records.keys(project, ActivityEntity.class);
        Map<String, UUID> branches = records.keys(project, BranchEntity.class);
        return rows(
                project,
                CostLineEntity.class,
                before,
                after,
                CostLine::id,
                (id, at, line) -> new CostLineEntity(id, at, activities.get(line.on()), branches.get(line.on()), line),
                (row, line) -> row.update(activities.get(line.on()), branches.get(line.on()), line));
    }
}
