package app.tychon.core.programme;

import app.tychon.core.model.LinkType;
import app.tychon.core.model.WorkDuration;
import java.util.List;

/** What binds projects of a programme together. Whatever it names it names by its id in the programme: code, colon, own id. */
public sealed interface Tie {
    /** The stable identity of the tie. */
    String id();

    /** Work of one project waits for work of another. */
    record Logic(String id, String from, String to, LinkType type, WorkDuration lag) implements Tie {}

    /**
     * One event in the registers of several projects: it occurs for all of them or for none, with the chance that the first
     * says. What it does is said by each for itself.
     */
    record SharedRisk(String id, String risk, List<String> others) implements Tie {
        public SharedRisk {
            others = List.copyOf(others);
        }
    }

    /** Estimates of several projects that move together, with one rank correlation for every pair. */
    record Together(String id, String name, List<String> members, double coefficient) implements Tie {
        public Together {
            members = List.copyOf(members);
        }
    }

    /**
     * A resource that several projects draw on.
     *
     * @param limit most units of it that there are for all of them
     */
    record SharedResource(String id, String name, List<String> resources, double limit) implements Tie {
        public SharedResource {
            resources = List.copyOf(resources);
        }
    }
}
