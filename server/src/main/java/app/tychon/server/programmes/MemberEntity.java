package app.tychon.server.programmes;

import app.tychon.core.programme.ExchangeRate;
import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** That a project is part of a programme. */
@Entity(name = "ProgrammeMemberEntity")
@Table(name = "programme_member")
class MemberEntity {
    @Id
    private UUID id;

    private UUID programmeId;
    private UUID projectId;
    private String code;
    private int position;
    private Double worth;
    private LocalDate worthOn;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Shown shown;

    protected MemberEntity() {}

    MemberEntity(UUID programmeId, UUID projectId, String code, int position) {
        id = Ids.next();
        this.programmeId = programmeId;
        this.projectId = projectId;
        this.code = code;
        this.position = position;
        shown = Shown.NOTHING;
    }

    UUID programmeId() {
        return programmeId;
    }

    UUID projectId() {
        return projectId;
    }

    String code() {
        return code;
    }

    Shown shown() {
        return shown;
    }

    void show(Shown what) {
        shown = what;
    }

    Optional<ExchangeRate> rate() {
        return Optional.ofNullable(worth).map(one -> new ExchangeRate(one, worthOn));
    }

    void setRate(ExchangeRate rate) {
        worth = rate.worth();
        worthOn = rate.on();
    }
}
