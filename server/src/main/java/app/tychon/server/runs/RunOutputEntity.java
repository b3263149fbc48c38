package app.tychon.server.runs;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

/** All values that a run has kept of one activity or branch. */
@Entity
@Table(name = "run_output")
@IdClass(RunOutputEntity.Key.class)
class RunOutputEntity {
    record Key(UUID runId, String item) implements Serializable {}

    @Id
    private UUID runId;

    @Id
    private String item;

    @Column(columnDefinition = "longblob")
    private byte[] samples;

    protected RunOutputEntity() {}

    RunOutputEntity(UUID runId, String item, byte[] samples) {
        this.runId = runId;
        this.item = item;
        this.samples = samples;
    }

    byte[] samples() {
        return samples;
    }
}
