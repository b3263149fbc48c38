-- What people say of anything in a project, what they are asked to confirm, and what waits for each.
CREATE TABLE IF NOT EXISTS comment (
    id          UUID         NOT NULL PRIMARY KEY,
    project_id  UUID         NOT NULL,
    section     VARCHAR(30)  NOT NULL COMMENT 'of what it is about: as the project file calls it, or runs',
    object_key  VARCHAR(140) NOT NULL,
    answer_to   UUID         NULL COMMENT 'the comment that it answers',
    account_id  UUID         NULL COMMENT 'whose it is; nobody where there are no accounts, or they are gone',
    words       TEXT         NOT NULL,
    made_at     DATETIME(3)  NOT NULL,
    edited_at   DATETIME(3)  NULL,
    resolved_at DATETIME(3)  NULL,
    resolved_by UUID         NULL,
    KEY comment_object (project_id, section, object_key),
    CONSTRAINT comment_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT comment_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE SET NULL,
    CONSTRAINT comment_answer FOREIGN KEY (answer_to) REFERENCES comment (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS confirmation (
    id          UUID         NOT NULL PRIMARY KEY,
    project_id  UUID         NOT NULL,
    section     VARCHAR(30)  NOT NULL,
    object_key  VARCHAR(140) NOT NULL,
    account_id  UUID         NOT NULL COMMENT 'who is asked',
    asked_by    UUID         NULL,
    asked_at    DATETIME(3)  NOT NULL,
    answered_at DATETIME(3)  NULL,
    holds       BOOLEAN      NULL COMMENT 'what they said',
    note        TEXT         NULL,
    digest      BINARY(32)   NULL COMMENT 'of what they said it of',
    UNIQUE KEY confirmation_object (project_id, section, object_key),
    CONSTRAINT confirmation_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT confirmation_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
    CONSTRAINT confirmation_asker FOREIGN KEY (asked_by) REFERENCES account (id) ON DELETE SET NULL
);

CREATE TABLE IF NOT EXISTS notice (
    id         UUID         NOT NULL PRIMARY KEY,
    account_id UUID         NOT NULL COMMENT 'for whom it waits',
    project_id UUID         NOT NULL,
    kind       VARCHAR(20)  NOT NULL,
    section    VARCHAR(30)  NOT NULL,
    object_key VARCHAR(140) NOT NULL,
    by_account UUID         NULL,
    words      TEXT         NULL,
    made_at    DATETIME(3)  NOT NULL,
    read_at    DATETIME(3)  NULL,
    KEY notice_account (account_id, read_at, made_at),
    CONSTRAINT notice_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
    CONSTRAINT notice_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT notice_by FOREIGN KEY (by_account) REFERENCES account (id) ON DELETE SET NULL
);
