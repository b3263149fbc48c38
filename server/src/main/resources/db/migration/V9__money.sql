-- Where money belongs in the project's own cost breakdown, when it falls due, what has been paid of it; how prices rise, and what can
-- be spent from when on. What a resource has beside its rate stands in the words of the resource.
ALTER TABLE cost_line
    ADD COLUMN IF NOT EXISTS per_day     DOUBLE       NULL COMMENT 'beside the amount, a planned working day' AFTER amount,
    ADD COLUMN IF NOT EXISTS category    VARCHAR(500) NOT NULL DEFAULT '' COMMENT 'levels apart by a slash' AFTER estimate,
    ADD COLUMN IF NOT EXISTS instalments LONGTEXT     NULL COMMENT 'in the words of the project file' AFTER category,
    ADD COLUMN IF NOT EXISTS spent       DOUBLE       NULL COMMENT 'up to the data date' AFTER instalments,
    ADD COLUMN IF NOT EXISTS to_go       DOUBLE       NULL COMMENT 'as planned now' AFTER spent;

CREATE TABLE IF NOT EXISTS escalation (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY escalation_code (project_id, code),
    CONSTRAINT escalation_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS funding (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY funding_code (project_id, code),
    CONSTRAINT funding_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);
