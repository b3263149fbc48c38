-- Programmes: projects that are calculated together. A programme is a project of its own, whose plan is made of its members'.
ALTER TABLE project
    ADD COLUMN IF NOT EXISTS draws     VARCHAR(60) NOT NULL DEFAULT '' COMMENT 'stands before ids where random numbers are drawn by them',
    ADD COLUMN IF NOT EXISTS programme BOOLEAN     NOT NULL DEFAULT FALSE;

-- What the plan of a programme says of each project in it.
CREATE TABLE IF NOT EXISTS plan_part (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY plan_part_code (project_id, code),
    CONSTRAINT plan_part_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS programme_member (
    id           UUID        NOT NULL PRIMARY KEY,
    programme_id UUID        NOT NULL,
    project_id   UUID        NOT NULL,
    code         VARCHAR(12) NOT NULL COMMENT 'stands before the ids of its rows',
    position     INT         NOT NULL,
    worth        DOUBLE      NULL COMMENT 'of its money in that of the programme',
    worth_on     DATE        NULL,
    shown        VARCHAR(20) NOT NULL COMMENT 'to those who may not read it',
    UNIQUE KEY programme_member_project (programme_id, project_id),
    UNIQUE KEY programme_member_code (programme_id, code),
    KEY programme_member_of (project_id),
    CONSTRAINT programme_member_programme FOREIGN KEY (programme_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT programme_member_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS programme_tie (
    id           UUID        NOT NULL PRIMARY KEY,
    programme_id UUID        NOT NULL,
    code         VARCHAR(60) NOT NULL,
    position     INT         NOT NULL,
    definition   LONGTEXT    NOT NULL COMMENT 'in the words of the programme file',
    UNIQUE KEY programme_tie_code (programme_id, code),
    CONSTRAINT programme_tie_programme FOREIGN KEY (programme_id) REFERENCES project (id) ON DELETE CASCADE
);

-- Where each project was heading when that was worked out last, for the list of all.
CREATE TABLE IF NOT EXISTS standing (
    project_id UUID     NOT NULL PRIMARY KEY,
    revision   BIGINT   NOT NULL,
    told       LONGTEXT NOT NULL COMMENT 'JSON',
    CONSTRAINT standing_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);
