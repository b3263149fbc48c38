-- How much is kept of each run and issued brief, so that what a project takes can be told at once.
ALTER TABLE run
    ADD COLUMN IF NOT EXISTS bytes BIGINT NOT NULL DEFAULT 0;

ALTER TABLE brief_issue
    ADD COLUMN IF NOT EXISTS bytes BIGINT NOT NULL DEFAULT 0;

UPDATE run r
SET r.bytes = COALESCE((SELECT LENGTH(d.inputs) + COALESCE(LENGTH(d.results), 0) FROM run_data d WHERE d.run_id = r.id), 0)
            + COALESCE((SELECT SUM(LENGTH(o.samples)) FROM run_output o WHERE o.run_id = r.id), 0);

UPDATE brief_issue i
SET i.bytes = COALESCE((SELECT LENGTH(d.page) + LENGTH(d.html) + LENGTH(d.pdf) + LENGTH(d.docx)
                        FROM brief_issue_data d WHERE d.issue_id = i.id), 0);
