package app.tychon.server.edits;

import app.tychon.exchange.changes.ChangeSet;
import app.tychon.server.edits.ChangeSetEntity.State;
import com.fasterxml.jackson.databind.json.JsonMapper;
import jakarta.persistence.EntityManager;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.stereotype.Repository;

/** The change sets of each project. */
@Repository
class ChangeLog {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();
    private static final int LONGEST_LABEL = 300;
    private static final int MOST_SEARCHED = 5_000;

    private final EntityManager entities;

    ChangeLog(EntityManager entities) {
        this.entities = entities;
    }

    void add(UUID project, long revision, String person, String label, State state, ChangeSet changes) {
        String shown = label.length() > LONGEST_LABEL ? cut(label) + "…" : label;
        entities.persist(new ChangeSetEntity(project, revision, person, shown, state, bytes(changes)));
    }

    /** No character is cut in half. */
    private static String cut(String label) {
        int end = LONGEST_LABEL - 1;
        return label.substring(0, Character.isHighSurrogate(label.charAt(end - 1)) ? end - 1 : end);
    }

    /** What a person would take back next: the last of their edits that stands. */
    Optional<ChangeSetEntity> undoable(UUID project, String person) {
        return find(project, person, State.DONE, "desc");
    }

    /** What a person would do again next: the first of those they took back. */
    Optional<ChangeSetEntity> redoable(UUID project, String person) {
        return find(project, person, State.UNDONE, "asc");
    }

    /** What {@link #undoable} is called, without reading all of it. */
    Optional<String> undoableLabel(UUID project, String person) {
        return find("c.label", String.class, project, person, State.DONE, "desc");
    }

    /** What {@link #redoable} is called. */
    Optional<String> redoableLabel(UUID project, String person) {
        return find("c.label", String.class, project, person, State.UNDONE, "asc");
    }

    private Optional<ChangeSetEntity> find(UUID project, String person, State state, String order) {
        return find("c", ChangeSetEntity.class, project, person, state, order);
    }

    private <T> Optional<T> find(String what, Class<T> kind, UUID project, String person, State state, String order) {
        return entities.createQuery(
                        "select " + what + " from ChangeSetEntity c where c.projectId = :project and c.person = :person"
                                + " and c.state = :state order by c.revision " + order,
                        kind)
                .setParameter("project", project)
                .setParameter("person", person)
                .setParameter("state", state)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** A new edit leaves nothing to do again. */
    void dropUndone(UUID project, String person) {
        entities.createQuery("update ChangeSetEntity c set c.state = :dropped where c.projectId = :project"
                        + " and c.person = :person and c.state = :undone")
                .setParameter("dropped", State.DROPPED)
                .setParameter("undone", State.UNDONE)
                .setParameter("project", project)
                .setParameter("person", person)
                .executeUpdate();
    }

    /** Everything that was edited after a revision, in that order. */
    List<ChangeSetEntity> since(UUID project, long revision) {
        return entities.createQuery(
                        "select c from ChangeSetEntity c where c.projectId = :project and c.revision > :revision"
                                + " order by c.revision",
                        ChangeSetEntity.class)
                .setParameter("project", project)
                .setParameter("revision", revision)
                .getResultList();
    }

    /** Some edits up to a revision, the newest first. */
    List<ChangeSetEntity> until(UUID project, long revision, int most) {
        return entities.createQuery(
                        "select c from ChangeSetEntity c where c.projectId = :project and c.revision <= :revision"
                                + " order by c.revision desc",
                        ChangeSetEntity.class)
                .setParameter("project", project)
                .setParameter("revision", revision)
                .setMaxResults(most)
                .getResultList();
    }

    /** The last edits of a project that a filter lets through, newest first. */
    List<EditView> last(UUID project, String reader, HistoryFilter filter, int most) {
        return entities.createQuery(
                        "select c from ChangeSetEntity c where c.projectId = :project"
                                + " and (:person is null or c.person = :person)"
                                + " and (:before is null or c.revision < :before) order by c.revision desc",
                        ChangeSetEntity.class)
                .setParameter("project", project)
                .setParameter("person", filter.person())
                .setParameter("before", filter.before())
                .setMaxResults(filter.key() == null ? most : MOST_SEARCHED)
                .getResultStream()
                .filter(entity -> filter.key() == null || filter.isAbout(changes(entity)))
                .limit(most)
                .map(entity -> new EditView(
                        entity.revision(),
                        entity.madeAt(),
                        reader.equals(entity.person()),
                        entity.person(),
                        null,
                        entity.label()))
                .toList();
    }

    /** What the last edits of a project did to one object. */
    List<ObjectEdit> ofObject(UUID project, String person, String section, String key, int most) {
        return entities.createQuery(
                        "select c from ChangeSetEntity c where c.projectId = :project order by c.revision desc",
                        ChangeSetEntity.class)
                .setParameter("project", project)
                .setMaxResults(most)
                .getResultStream()
                .flatMap(entity -> changes(entity).changes().stream()
                        .filter(change ->
                                change.section().equals(section) && change.key().equals(key))
                        .map(change -> new ObjectEdit(
                                entity.revision(),
                                entity.madeAt(),
                                person.equals(entity.person()),
                                entity.person(),
                                null,
                                change.before() == null
                                        ? null
                                        : change.before().is().toString(),
                                change.after() == null
                                        ? null
                                        : change.after().is().toString())))
                .toList();
    }

    /** When each object was edited last between two revisions, by its section and key. */
    Map<List<String>, Touch> touches(UUID project, String person, long after, long until, int most) {
        Map<List<String>, Touch> touches = new HashMap<>();
        entities.createQuery(
                        "select c from ChangeSetEntity c where c.projectId = :project and c.revision > :after"
                                + " and c.revision <= :until order by c.revision desc",
                        ChangeSetEntity.class)
                .setParameter("project", project)
                .setParameter("after", after)
                .setParameter("until", until)
                .setMaxResults(most)
                .getResultStream()
                .forEach(entity -> changes(entity)
                        .changes()
                        .forEach(change -> touches.putIfAbsent(
                                List.of(change.section(), change.key()),
                                new Touch(entity.madeAt(), person.equals(entity.person()), entity.person(), null))));
        return touches;
    }

    ChangeSet changes(ChangeSetEntity entity) {
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(entity.changes()))) {
            return MAPPER.readValue(in, ChangeSet.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] bytes(ChangeSet changes) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            MAPPER.writeValue(out, changes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
