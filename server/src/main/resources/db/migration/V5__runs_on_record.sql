-- What a run is called and why it was made, when it stops by itself, and whether it was put aside.
ALTER TABLE run
    ADD COLUMN IF NOT EXISTS name       VARCHAR(120)  NULL AFTER number,
    ADD COLUMN IF NOT EXISTS note       VARCHAR(2000) NULL AFTER name,
    ADD COLUMN IF NOT EXISTS tolerance  DOUBLE        NULL COMMENT 'of the standard deviation, at which it is steady' AFTER asked,
    ADD COLUMN IF NOT EXISTS deleted_at DATETIME(3)   NULL;
