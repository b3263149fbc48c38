-- Everything else a plan can hold: progress, grades, correlations, resources and the risk register.
-- What is only ever read and written as a whole is kept in the words of the project file.
ALTER TABLE project
    ADD COLUMN IF NOT EXISTS data_date DATETIME NULL AFTER start_at;

ALTER TABLE branch
    ADD COLUMN IF NOT EXISTS grade VARCHAR(60) NULL COMMENT 'code of a grade' AFTER name;

ALTER TABLE activity
    ADD COLUMN IF NOT EXISTS actual_start  DATETIME    NULL AFTER constraint_date,
    ADD COLUMN IF NOT EXISTS actual_finish DATETIME    NULL AFTER actual_start,
    ADD COLUMN IF NOT EXISTS remaining     VARCHAR(40) NULL AFTER actual_finish,
    ADD COLUMN IF NOT EXISTS grade         VARCHAR(60) NULL COMMENT 'code of a grade' AFTER remaining,
    ADD COLUMN IF NOT EXISTS combine_risks VARCHAR(20) NOT NULL DEFAULT 'ADD' AFTER estimate,
    ADD COLUMN IF NOT EXISTS watch         BOOLEAN     NOT NULL DEFAULT FALSE AFTER combine_risks;

ALTER TABLE cost_line
    ADD COLUMN IF NOT EXISTS grade VARCHAR(60) NULL COMMENT 'code of a grade' AFTER timing;

CREATE TABLE IF NOT EXISTS grade (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY grade_code (project_id, code),
    CONSTRAINT grade_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS correlation (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY correlation_code (project_id, code),
    CONSTRAINT correlation_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS resource (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY resource_code (project_id, code),
    CONSTRAINT resource_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS assignment (
    id           UUID   NOT NULL PRIMARY KEY,
    project_id   UUID   NOT NULL,
    activity_id  UUID   NOT NULL,
    resource_id  UUID   NOT NULL,
    units        DOUBLE NOT NULL,
    position     INT    NOT NULL,
    UNIQUE KEY assignment_once (activity_id, resource_id),
    CONSTRAINT assignment_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT assignment_activity FOREIGN KEY (activity_id) REFERENCES activity (id) ON DELETE CASCADE,
    CONSTRAINT assignment_resource FOREIGN KEY (resource_id) REFERENCES resource (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS risk (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY risk_code (project_id, code),
    CONSTRAINT risk_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);
