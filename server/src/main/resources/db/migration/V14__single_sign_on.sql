-- Who somebody is to the provider of single sign-on, once they have come in by it.
ALTER TABLE account
    ADD COLUMN IF NOT EXISTS subject VARCHAR(500) NULL COMMENT 'issuer and subject' AFTER password,
    ADD UNIQUE KEY IF NOT EXISTS account_subject (subject);
