-- Who somebody is to the provider of single sign-on, once they have come in by it.
ALTER TABLE account
    ADD COLUMN subject VARCHAR(500) NULL COMMENT 'issuer and subject' AFTER password,
    ADD UNIQUE KEY account_subject (subject);
