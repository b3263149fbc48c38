-- Pages that leave somebody a decision. What was issued is kept as it was read, with the run it rests on; it is read by links that
-- can be withdrawn, of which only a digest is kept.
CREATE TABLE IF NOT EXISTS brief (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY brief_code (project_id, code),
    CONSTRAINT brief_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS brief_issue (
    id         UUID         NOT NULL PRIMARY KEY,
    project_id UUID         NOT NULL,
    brief      VARCHAR(60)  NOT NULL COMMENT 'code of the brief it was made of',
    number     INT          NOT NULL COMMENT 'counts the issues of the project',
    title      VARCHAR(500) NOT NULL,
    run_id     UUID         NOT NULL,
    run_number INT          NOT NULL,
    issued_at  DATETIME(3)  NOT NULL,
    issued_by  VARCHAR(60)  NOT NULL,
    UNIQUE KEY brief_issue_number (project_id, number),
    KEY brief_issue_run (run_id),
    CONSTRAINT brief_issue_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS brief_issue_data (
    issue_id UUID     NOT NULL PRIMARY KEY,
    page     LONGBLOB NOT NULL COMMENT 'as the application shows it: JSON, packed',
    html     LONGBLOB NOT NULL COMMENT 'as it is read by a link, packed',
    pdf      LONGBLOB NOT NULL,
    docx     LONGBLOB NOT NULL,
    CONSTRAINT brief_issue_data_issue FOREIGN KEY (issue_id) REFERENCES brief_issue (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS brief_link (
    id           UUID        NOT NULL PRIMARY KEY,
    issue_id     UUID        NOT NULL,
    digest       BINARY(32)  NOT NULL,
    made_at      DATETIME(3) NOT NULL,
    withdrawn_at DATETIME(3) NULL,
    UNIQUE KEY brief_link_digest (digest),
    CONSTRAINT brief_link_issue FOREIGN KEY (issue_id) REFERENCES brief_issue (id) ON DELETE CASCADE
);
