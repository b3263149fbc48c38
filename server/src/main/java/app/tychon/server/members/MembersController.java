package app.tychon.server.members;

import app.tychon.server.people.People;
import app.tychon.server.rights.ForTheMachine;
import app.tychon.server.rights.MayOwn;
import app.tychon.server.rights.MayRead;
import app.tychon.server.rights.MayReadInPerson;
import app.tychon.server.rights.Role;
import app.tychon.server.rights.WorksHere;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who takes part in a project, and as what. */
@RestController
@MayRead
class MembersController {
    private final Members members;
    private final People people;

    MembersController(Members members, People people) {
        this.members = members;
        this.people = people;
    }

    /**
     * Somebody who takes part.
     *
     * @param ownerName what the register calls them as owner of risks
     * @param self whether it is whoever asks
     */
    record MemberView(UUID id, String name, String email, Role role, String ownerName, boolean self) {}

    /**
     * What somebody is to be in a project.
     *
     * @param ownerName what the register calls them as owner of risks, where it is not their name
     */
    record MemberWords(
            @NotNull @Size(max = 254) String email, @NotNull Role role, @Nullable @Size(max = 200) String ownerName) {}

    /** Everybody who can be given a part. */
    @WorksHere
    @GetMapping("/api/people/names")
    List<People.PersonNamed> listNames() {
        return people.everybody();
    }

    @GetMapping("/api/projects/{id}/members")
    List<MemberView> listMembers(@PathVariable UUID id) {
        return members.of(id);
    }

    @MayOwn
    @PutMapping("/api/projects/{id}/members")
    List<MemberView> putMember(@PathVariable UUID id, @RequestBody @Valid MemberWords words) {
        members.put(id, words.email(), words.role(), words.ownerName());
        return members.of(id);
    }

    @MayOwn
    @DeleteMapping("/api/projects/{id}/members/{person}")
    List<MemberView> removeMember(@PathVariable UUID id, @PathVariable UUID person) {
        members.remove(id, person);
        return members.of(id);
    }

    /** Whoever asks takes part no longer. */
    @MayReadInPerson
    @DeleteMapping("/api/projects/{id}/membership")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leaveProject(@PathVariable UUID id) {
        members.leave(id);
    }

    /**
     * What somebody is to be in a project, by whoever has the machine.
     *
     * @param project its id or its code
     */
    record RoleWords(@NotNull String email, @NotNull String project, @NotNull Role role) {}

    @ForTheMachine
    @PutMapping("/api/people/roles")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putRole(@RequestBody @Valid RoleWords words) {
        members.put(members.project(words.project()), words.email(), words.role(), null);
    }
}
