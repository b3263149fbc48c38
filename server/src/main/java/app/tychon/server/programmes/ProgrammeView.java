package app.tychon.server.programmes;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A programme: its projects, and what ties them.
 *
 * @param names what the rows are called that ties name, by their ids in the programme
 * @param stuck why it stands where it stood before an edit of one of its projects; absent where it does not
 */
record ProgrammeView(
        UUID id,
        String name,
        String currency,
        List<ProgrammePartView> projects,
        List<TieView> ties,
        Map<String, String> names,
        @Nullable String stuck) {

    /**
     * A project of it.
     *
     * @param project absent where whoever asks may not read it
     * @param name absent where it lets nothing out to whoever asks
     * @param worth of its money in that of the programme, where they differ
     */
    record ProgrammePartView(
            @Nullable UUID project,
            String code,
            @Nullable String name,
            Shown shown,
            boolean owned,
            @Nullable Double worth,
            @Nullable LocalDate worthOn) {}

    /**
     * What ties projects.
     *
     * @param definition in the words of the programme file
     * @param idle why it binds nothing for now; absent where it does
     */
    record TieView(String id, String kind, JsonNode definition, @Nullable String idle) {}
}
