-- A project and its plan. Keys are time-ordered UUIDs; "code" is the user's own id of a thing.
CREATE TABLE IF NOT EXISTS project (
    id             UUID         NOT NULL PRIMARY KEY,
    code           VARCHAR(60)  NOT NULL,
    name           VARCHAR(500) NOT NULL,
    currency       CHAR(3)      NOT NULL,
    start_at       DATETIME     NOT NULL,
    calendar       VARCHAR(60)  NOT NULL,
    lag_calendar   VARCHAR(20)  NOT NULL,
    target_finish  DATETIME     NULL,
    target_cost    DOUBLE       NULL,
    revision       BIGINT       NOT NULL,
    created_at     DATETIME(3)  NOT NULL,
    edited_at      DATETIME(3)  NOT NULL
);

CREATE TABLE IF NOT EXISTS calendar (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    code        VARCHAR(60) NOT NULL,
    position    INT         NOT NULL,
    definition  LONGTEXT    NOT NULL COMMENT 'in the words of the project file',
    UNIQUE KEY calendar_code (project_id, code),
    CONSTRAINT calendar_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS branch (
    id          UUID         NOT NULL PRIMARY KEY,
    project_id  UUID         NOT NULL,
    parent_id   UUID         NULL,
    code        VARCHAR(60)  NOT NULL,
    outline     VARCHAR(100) NOT NULL,
    name        VARCHAR(500) NOT NULL,
    position    INT          NOT NULL,
    UNIQUE KEY branch_code (project_id, code),
    CONSTRAINT branch_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT branch_parent FOREIGN KEY (parent_id) REFERENCES branch (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS activity (
    id               UUID         NOT NULL PRIMARY KEY,
    project_id       UUID         NOT NULL,
    branch_id        UUID         NOT NULL,
    calendar_id      UUID         NOT NULL,
    code             VARCHAR(60)  NOT NULL,
    name             VARCHAR(500) NOT NULL,
    kind             VARCHAR(20)  NOT NULL,
    duration         VARCHAR(40)  NOT NULL,
    constraint_type  VARCHAR(20)  NULL,
    constraint_date  DATETIME     NULL,
    estimate         LONGTEXT     NULL COMMENT 'in the words of the project file',
    position         INT          NOT NULL,
    version          INT          NOT NULL,
    UNIQUE KEY activity_code (project_id, code),
    CONSTRAINT activity_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT activity_branch FOREIGN KEY (branch_id) REFERENCES branch (id) ON DELETE CASCADE,
    CONSTRAINT activity_calendar FOREIGN KEY (calendar_id) REFERENCES calendar (id)
);

CREATE TABLE IF NOT EXISTS link (
    id          UUID        NOT NULL PRIMARY KEY,
    project_id  UUID        NOT NULL,
    from_id     UUID        NOT NULL,
    to_id       UUID        NOT NULL,
    type        CHAR(2)     NOT NULL,
    lag         VARCHAR(40) NOT NULL,
    position    INT         NOT NULL,
    CONSTRAINT link_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT link_from FOREIGN KEY (from_id) REFERENCES activity (id) ON DELETE CASCADE,
    CONSTRAINT link_to FOREIGN KEY (to_id) REFERENCES activity (id) ON DELETE CASCADE
);

-- A cost line stands on an activity, on a branch, or, with neither, on the whole project.
CREATE TABLE IF NOT EXISTS cost_line (
    id           UUID         NOT NULL PRIMARY KEY,
    project_id   UUID         NOT NULL,
    activity_id  UUID         NULL,
    branch_id    UUID         NULL,
    code         VARCHAR(60)  NOT NULL,
    name         VARCHAR(500) NOT NULL,
    amount       DOUBLE       NOT NULL,
    fixed_share  DOUBLE       NOT NULL,
    timing       VARCHAR(20)  NOT NULL,
    estimate     LONGTEXT     NULL COMMENT 'in the words of the project file',
    position     INT          NOT NULL,
    UNIQUE KEY cost_line_code (project_id, code),
    CONSTRAINT cost_line_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT cost_line_activity FOREIGN KEY (activity_id) REFERENCES activity (id) ON DELETE CASCADE,
    CONSTRAINT cost_line_branch FOREIGN KEY (branch_id) REFERENCES branch (id) ON DELETE CASCADE
);

-- A recorded run: settings, the inputs it was made from, and what came out.
CREATE TABLE IF NOT EXISTS run (
    id          UUID         NOT NULL PRIMARY KEY,
    project_id  UUID         NOT NULL,
    number      INT          NOT NULL,
    state       VARCHAR(20)  NOT NULL,
    started_at  DATETIME(3)  NOT NULL,
    ended_at    DATETIME(3)  NULL,
    asked       INT          NOT NULL COMMENT 'iterations asked for',
    done        INT          NOT NULL COMMENT 'iterations simulated',
    seed        BIGINT       NOT NULL,
    sampling    VARCHAR(20)  NOT NULL,
    revision    BIGINT       NOT NULL COMMENT 'of the project it was made from',
    p80_finish  DATETIME     NULL,
    failure     VARCHAR(500) NULL,
    UNIQUE KEY run_number (project_id, number),
    CONSTRAINT run_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS run_data (
    run_id   UUID     NOT NULL PRIMARY KEY,
    inputs   LONGBLOB NOT NULL COMMENT 'project file, gzip',
    results  LONGBLOB NULL COMMENT 'results, gzip',
    CONSTRAINT run_data_run FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE
);
