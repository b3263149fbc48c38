-- What a run is called and why it was made, when it stops by itself, and whether it was put aside.
ALTER TABLE run
    ADD COLUMN name       VARCHAR(120)  NULL AFTER number,
    ADD COLUMN note       VARCHAR(2000) NULL AFTER name,
    ADD COLUMN tolerance  DOUBLE        NULL COMMENT 'of the standard deviation, at which it is steady' AFTER asked,
    ADD COLUMN deleted_at DATETIME(3)   NULL;
