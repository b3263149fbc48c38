package app.tychon.server.people;

import app.tychon.server.rights.ForAdministrators;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Everybody who has an account, for those who look after them. */
@RestController
@RequestMapping("/api/people")
@ForAdministrators
class PeopleController {
    private final People people;
    private final AccountLinks links;

    PeopleController(People people, AccountLinks links) {
        this.people = people;
        this.links = links;
    }

    /**
     * Somebody who has an account.
     *
     * @param joined whether they have set a password
     * @param codes whether they come in with one-time codes as well
     */
    record PersonView(
            UUID id,
            String name,
            String email,
            boolean administrator,
            boolean joined,
            boolean codes,
            boolean disabled,
            Instant since) {
        static PersonView of(AccountEntity account) {
            return new PersonView(
                    account.id(),
                    account.name(),
                    account.email(),
                    account.administrator(),
                    account.password().isPresent(),
                    account.codesOn(),
                    account.disabled(),
                    account.createdAt());
        }
    }

    @GetMapping
    List<PersonView> listPeople() {
        return people.all().stream().map(PersonView::of).toList();
    }

    /** Somebody who is to come in. */
    record PersonWords(@NotNull String email, @NotNull String name, boolean administrator) {}

    /**
     * A link by which somebody sets their password, once.
     *
     * @param path follows the server's address
     * @param mailed whether it was sent to them as well
     */
    record JoinLink(String path, boolean mailed) {}

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    JoinLink addPerson(@RequestBody @Valid PersonWords words) {
        return link(people.add(words.email(), words.name(), words.administrator()));
    }

    /**
     * What is to change of somebody; what is absent stays.
     *
     * @param codes false where they lost their app and are to come in without one-time codes
     */
    record PersonChange(
            @Nullable String name,
            @Nullable Boolean administrator,
            @Nullable Boolean disabled,
            @Nullable Boolean codes) {}

    @PatchMapping("/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePerson(@PathVariable UUID person, @RequestBody PersonChange change) {
        people.change(person, change);
    }

    @PostMapping("/{person}/reset")
    JoinLink resetPerson(@PathVariable UUID person) {
        return link(people.reset(person));
    }

    @DeleteMapping("/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePerson(@PathVariable UUID person) {
        people.remove(person);
    }

    private JoinLink link(String path) {
        return new JoinLink(path, links.areSent());
    }
}
