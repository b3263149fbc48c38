package app.tychon.server.runs;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The bulk of a run, apart from it so that lists stay light: frozen inputs and results, compressed. */
@Entity
@Table(name = "run_data")
class RunDataEntity {
    @Id
    private UUID runId;

    @Column(columnDefinition = "longblob")
    private byte[] inputs;

    @Column(columnDefinition = "longblob")
    private byte[] results;

    protected RunDataEntity() {}

    RunDataEntity(UUID runId, byte[] inputs) {
        this.runId = runId;
        this.inputs = inputs;
    }

    void setResults(byte[] bytes) {
        results = bytes;
    }

    byte[] inputs() {
        return inputs;
    }

    byte[] results() {
        return results;
    }
}
