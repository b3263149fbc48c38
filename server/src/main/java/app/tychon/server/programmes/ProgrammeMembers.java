package app.tychon.server.programmes;

import app.tychon.server.rights.Rights;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which projects take part in which programmes, for whoever asks. */
@Service
public class ProgrammeMembers {
    private final ProgrammeRecords records;
    private final Rights rights;

    ProgrammeMembers(ProgrammeRecords records, Rights rights) {
        this.records = records;
        this.rights = rights;
    }

    /**
     * A project within a programme.
     *
     * @param readable whether whoever asks may read it
     * @param shown what it lets out to those who may not
     */
    public record Part(UUID project, String code, boolean readable, Shown shown) {
        /** Whether its name and odds may be told. */
        public boolean isTold() {
            return readable || shown == Shown.MILESTONES;
        }
    }

    /** Those of every programme, by the programme, in their order. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Part>> all() {
        Optional<Set<UUID>> readable = rights.readable();
        return records.all().stream()
                .collect(Collectors.groupingBy(
                        MemberEntity::programmeId,
                        Collectors.mapping(
                                one -> new Part(
                                        one.projectId(),
                                        one.code(),
                                        readable.isEmpty() || readable.get().contains(one.projectId()),
                                        one.shown()),
                                Collectors.toList())));
    }
}
