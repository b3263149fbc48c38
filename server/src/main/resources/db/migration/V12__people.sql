-- People, what they may do in a project, and how they come in. Keys and codes that open something are kept as digests.
CREATE TABLE IF NOT EXISTS account (
    id            UUID         NOT NULL PRIMARY KEY,
    email         VARCHAR(254) NOT NULL COMMENT 'in small letters',
    name          VARCHAR(200) NOT NULL,
    administrator BOOLEAN      NOT NULL,
    password      VARCHAR(250) NULL COMMENT 'Argon2id',
    codes_secret  VARBINARY(100) NULL COMMENT 'of one-time codes, enciphered',
    codes_on      BOOLEAN      NOT NULL DEFAULT FALSE,
    codes_step    BIGINT       NOT NULL DEFAULT 0 COMMENT 'the last that was used',
    created_at    DATETIME(3)  NOT NULL,
    disabled_at   DATETIME(3)  NULL,
    UNIQUE KEY account_email (email)
);

CREATE TABLE IF NOT EXISTS recovery_code (
    id         UUID        NOT NULL PRIMARY KEY,
    account_id UUID        NOT NULL,
    digest     BINARY(32)  NOT NULL,
    UNIQUE KEY recovery_code_digest (account_id, digest),
    CONSTRAINT recovery_code_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
);

-- A link by which somebody sets a password: the first, or another after the old one was lost.
CREATE TABLE IF NOT EXISTS account_link (
    id         UUID        NOT NULL PRIMARY KEY,
    account_id UUID        NOT NULL,
    digest     BINARY(32)  NOT NULL,
    expires_at DATETIME(3) NOT NULL,
    UNIQUE KEY account_link_digest (digest),
    CONSTRAINT account_link_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
);

-- Tries to come in that failed, by what was tried: an account or an address.
CREATE TABLE IF NOT EXISTS failed_try (
    tried   VARCHAR(300) NOT NULL PRIMARY KEY,
    times   INT          NOT NULL,
    last_at DATETIME(3)  NOT NULL
);

CREATE TABLE IF NOT EXISTS api_token (
    id         UUID         NOT NULL PRIMARY KEY,
    account_id UUID         NOT NULL,
    name       VARCHAR(100) NOT NULL,
    digest     BINARY(32)   NOT NULL,
    scope      VARCHAR(20)  NOT NULL,
    project_id UUID         NULL,
    made_at    DATETIME(3)  NOT NULL,
    expires_at DATETIME(3)  NOT NULL,
    used_at    DATETIME(3)  NULL,
    UNIQUE KEY api_token_digest (digest),
    CONSTRAINT api_token_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
    CONSTRAINT api_token_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS membership (
    id         UUID        NOT NULL PRIMARY KEY,
    project_id UUID        NOT NULL,
    account_id UUID        NOT NULL,
    role       VARCHAR(20) NOT NULL,
    owner_name VARCHAR(200) NULL COMMENT 'what the register calls them as owner of risks, where it is not their name',
    since      DATETIME(3) NOT NULL,
    UNIQUE KEY membership_person (project_id, account_id),
    KEY membership_account (account_id),
    CONSTRAINT membership_project FOREIGN KEY (project_id) REFERENCES project (id) ON DELETE CASCADE,
    CONSTRAINT membership_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
);

-- Sessions of browsers, in the tables that Spring Session reads.
CREATE TABLE IF NOT EXISTS WEB_SESSION (
    PRIMARY_ID            CHAR(36)     NOT NULL PRIMARY KEY,
    SESSION_ID            CHAR(36)     NOT NULL,
    CREATION_TIME         BIGINT       NOT NULL,
    LAST_ACCESS_TIME      BIGINT       NOT NULL,
    MAX_INACTIVE_INTERVAL INT          NOT NULL,
    EXPIRY_TIME           BIGINT       NOT NULL,
    PRINCIPAL_NAME        VARCHAR(100) NULL,
    UNIQUE KEY web_session_id (SESSION_ID),
    KEY web_session_expiry (EXPIRY_TIME),
    KEY web_session_principal (PRINCIPAL_NAME)
) ROW_FORMAT = DYNAMIC;

CREATE TABLE IF NOT EXISTS WEB_SESSION_ATTRIBUTES (
    SESSION_PRIMARY_ID CHAR(36)     NOT NULL,
    ATTRIBUTE_NAME     VARCHAR(200) NOT NULL,
    ATTRIBUTE_BYTES    BLOB         NOT NULL,
    PRIMARY KEY (SESSION_PRIMARY_ID, ATTRIBUTE_NAME),
    CONSTRAINT web_session_attributes_session FOREIGN KEY (SESSION_PRIMARY_ID) REFERENCES WEB_SESSION (PRIMARY_ID) ON DELETE CASCADE
) ROW_FORMAT = DYNAMIC;
