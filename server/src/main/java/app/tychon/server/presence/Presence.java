package app.tychon.server.presence;

import app.tychon.server.edits.PlanEdited;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.fellows.Fellows;
import app.tychon.server.people.People;
import app.tychon.server.people.People.PersonNamed;
import app.tychon.server.rights.Who;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;

/** Who has a project open, where they are in it, and what they have just edited. */
@Service
class Presence {
    /**
     * A window that has a project open.
     *
     * @param person whose it is; empty where there are no accounts
     * @param name what they are called
     * @param stage where they are; empty until they have said
     */
    record Here(String window, String person, String name, String stage, String row) {}

    private final ConcurrentMap<UUID, ConcurrentMap<String, Here>> here = new ConcurrentHashMap<>();
    /** Those at other servers, by server and project. */
    private final ConcurrentMap<String, ConcurrentMap<UUID, List<Here>>> elsewhere = new ConcurrentHashMap<>();

    private final ProjectEvents events;
    private final People people;
    private final Fellows fellows;

    /** As other servers are told: all who have a project open at this one. */
    private record AllHere(UUID project, List<Here> here) {}

    Presence(ProjectEvents events, People people, Fellows fellows, ObjectMapper json) {
        this.events = events;
        this.people = people;
        this.fellows = fellows;
        fellows.hear("presence", (server, told) -> {
            AllHere all = json.convertValue(told, AllHere.class);
            elsewhere.computeIfAbsent(server, one -> new ConcurrentHashMap<>()).put(all.project(), all.here());
            show(all.project());
        });
        fellows.whenGone(server -> Optional.ofNullable(elsewhere.remove(server))
                .ifPresent(projects -> projects.keySet().forEach(this::show)));
    }

    /** A window that listens anew is where it was. */
    void enter(UUID project, String window) {
        Optional<PersonNamed> person = Who.accountNow().flatMap(people::called);
        String account = person.map(one -> one.id().toString()).orElse("");
        String name = person.map(PersonNamed::name).orElse("");
        put(
                project,
                known(project, window, account)
                        .map(before -> new Here(window, account, name, before.stage(), before.row()))
                        .orElse(new Here(window, account, name, "", "")));
    }

    /** Where a window is that has entered; one that has not, or has left, is nowhere. */
    void at(UUID project, String window, String stage, String row) {
        String account = Who.accountNow().map(UUID::toString).orElse("");
        known(project, window, account)
                .ifPresent(known -> put(project, new Here(window, account, known.name(), stage, row)));
    }

    private Optional<Here> known(UUID project, String window, String account) {
        return Optional.ofNullable(
                        here.getOrDefault(project, new ConcurrentHashMap<>()).get(window))
                .filter(one -> one.person().equals(account));
    }

    void leave(UUID project, String window) {
        here.computeIfPresent(project, (id, windows) -> {
            windows.remove(window);
            return windows.isEmpty() ? null : windows;
        });
        tell(project);
    }

    private void put(UUID project, Here one) {
        here.computeIfAbsent(project, id -> new ConcurrentHashMap<>()).put(one.window(), one);
        tell(project);
    }

    private void tell(UUID project) {
        show(project);
        fellows.tell("presence", new AllHere(project, atThisServer(project)));
    }

    private void show(UUID project) {
        events.publishHere(
                project,
                "presence",
                Stream.concat(
                                atThisServer(project).stream(),
                                elsewhere.values().stream()
                                        .flatMap(projects -> projects.getOrDefault(project, List.of()).stream()))
                        .toList());
    }

    private List<Here> atThisServer(UUID project) {
        return List.copyOf(here.getOrDefault(project, new ConcurrentHashMap<>()).values());
    }

    /**
     * An edit as others are told of it.
     *
     * @param person their account, or the key of their browser
     * @param touched section and key of what they edited
     */
    record Edited(long revision, String person, String name, List<List<String>> touched) {}

    @TransactionalEventListener
    void edited(PlanEdited edit) {
        String name = account(edit.person())
                .flatMap(people::called)
                .map(PersonNamed::name)
                .orElse("");
        events.publish(edit.project(), "edit", new Edited(edit.revision(), edit.person(), name, edit.touched()));
    }

    private static Optional<UUID> account(String person) {
        try {
            return Optional.of(UUID.fromString(person));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
