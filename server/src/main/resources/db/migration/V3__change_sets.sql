
ALTER TABLE activity
    ADD COLUMN IF NOT EXISTS notes TEXT NULL AFTER watch;

-- A project that was put away is listed apart; one that was deleted can be brought back until it is swept out.
ALTER TABLE project
    ADD COLUMN IF NOT EXISTS planned_finish DATETIME NULL COMMENT 'without uncertainty',
    ADD COLUMN IF NOT EXISTS archived_at DATETIME(3) NULL,
    ADD COLUMN IF NOT EXISTS deleted_at DATETIME(3) NULL;

-- What somebody has looked at in the plan check and found to be no fault.
CREATE TABLE IF NOT EXISTS acceptance (
    id          UUID         NOT NULL PRIMARY KEY,
    project_id  UUID         NOT NULL,
    code        VARCHAR(140) NOT NULL COMMENT 'the check and what it is about',
    position    INT          NOT NULL,
    definition  LONGTEXT     NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY acceptance_code (project_id, code),
    CONSTRAINT acceptance_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

-- Every edit: who, when, and each object before and after it.
CREATE TABLE IF NOT EXISTS change_set (
    id          UUID         NOT NULL PRIMARY KEY,
    project_id  UUID         NOT NULL,
    revision    BIGINT       NOT NULL COMMENT 'of the project after it',
    person      VARCHAR(60)  NOT NULL,
    made_at     DATETIME(3)  NOT NULL,
    label       VARCHAR(300) NOT NULL,
    state       VARCHAR(20)  NOT NULL,
    changes     LONGBLOB     NOT NULL COMMENT 'JSON, gzip',
    UNIQUE KEY change_set_revision (project_id, revision),
    CONSTRAINT change_set_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);
