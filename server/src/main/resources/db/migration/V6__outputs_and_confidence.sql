-- How sure promises are to be, what a run says at that level, who made it, and how sure its intervals are.
ALTER TABLE project
    ADD COLUMN IF NOT EXISTS confidence INT NOT NULL DEFAULT 80 COMMENT 'percent' AFTER target_cost;

ALTER TABLE run
    CHANGE COLUMN IF EXISTS p80_finish level_finish DATETIME NULL COMMENT 'finish kept with the level',
    ADD COLUMN IF NOT EXISTS made_by VARCHAR(60) NULL COMMENT 'key of the person' AFTER note,
    ADD COLUMN IF NOT EXISTS certainty DOUBLE NULL COMMENT 'of the intervals by which it is steady' AFTER tolerance,
    ADD COLUMN IF NOT EXISTS level INT NOT NULL DEFAULT 80 COMMENT 'percent' AFTER revision,
    ADD COLUMN IF NOT EXISTS level_cost DOUBLE NULL AFTER level_finish;

-- All sampled values of milestones, branches and watched activities, each to be read alone.
CREATE TABLE IF NOT EXISTS run_output (
    run_id    UUID         NOT NULL,
    item      VARCHAR(60)  NOT NULL COLLATE utf8mb4_bin COMMENT 'code of the activity or branch',
    samples   LONGBLOB     NOT NULL COMMENT 'gzip',
    PRIMARY KEY (run_id, item),
    CONSTRAINT run_output_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE
);
