-- How a plan could be otherwise. Who works in a scenario works on a copy of the project that follows it; its edits are kept with the
-- scenario.
CREATE TABLE IF NOT EXISTS scenario (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY scenario_code (project_id, code),
    CONSTRAINT scenario_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

ALTER TABLE project
    ADD COLUMN IF NOT EXISTS inputs_revision BIGINT       NOT NULL DEFAULT 1 COMMENT 'the last revision that changed what is simulated' AFTER revision,
    ADD COLUMN IF NOT EXISTS scenario_of     UUID         NULL COMMENT 'of which project this is a scenario that somebody works in',
    ADD COLUMN IF NOT EXISTS scenario        VARCHAR(60)  NULL COMMENT 'code of the scenario',
    ADD COLUMN IF NOT EXISTS scenario_name   VARCHAR(500) NULL,
    ADD UNIQUE KEY IF NOT EXISTS project_scenario (scenario_of, scenario),
    ADD CONSTRAINT project_scenario_of FOREIGN KEY IF NOT EXISTS (scenario_of) REFERENCES project (id) ON DELETE CASCADE;

UPDATE project SET inputs_revision = revision;
