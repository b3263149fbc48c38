package app.tychon.server.launch;

import app.tychon.server.members.Members;
import app.tychon.server.people.People;
import app.tychon.server.rights.Role;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Three people in the demo's project, for those who want to try what each part may do. */
@Component
class ExamplePeople {
    private record Example(String email, String name, Role role, String ownerName) {}

    private static final Example[] ALL = {
        new Example("nora@kestrel.example", "Nora Quill", Role.OWNER, ""),
        new Example("tomas@kestrel.example", "Tomas Reed", Role.RISK_OWNER, "Logistics lead"),
        new Example("mira@kestrel.example", "Mira Holt", Role.READER, "")
    };

    private final People people;
    private final Members members;

    ExamplePeople(People people, Members members) {
        this.people = people;
        this.members = members;
    }

    /** Adds those who are not there to the demo's project; by name and part, the link by which each sets a password. */
    Map<String, String> add(UUID demo) {
        Map<String, String> links = new LinkedHashMap<>();
        for (Example one : ALL) {
            if (people.accountOf(one.email()).isEmpty()) {
                links.put(
                        one.name() + ", "
                                + one.role().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                        people.add(one.email(), one.name(), false));
                members.put(demo, one.email(), one.role(), one.ownerName());
            }
        }
        return links;
    }
}
