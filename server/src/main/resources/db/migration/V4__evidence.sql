-- What similar work really took, from which ranges were fitted.
CREATE TABLE IF NOT EXISTS evidence (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY evidence_code (project_id, code),
    CONSTRAINT evidence_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);
