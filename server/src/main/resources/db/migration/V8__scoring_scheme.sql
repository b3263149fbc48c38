-- How the risks of a project are scored; at most one a project. What registers say of risks stands in the words of the risk.
CREATE TABLE IF NOT EXISTS scoring_scheme (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY scoring_scheme_code (project_id, code),
    CONSTRAINT scoring_scheme_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);
