-- What a person can take back or do again is found without reading the whole history, and without locking it.
CREATE INDEX IF NOT EXISTS change_set_undoing ON change_set (project_id, person, state, revision);

-- Notes as long as every other part of the application takes them, whatever their letters.
ALTER TABLE activity MODIFY COLUMN notes MEDIUMTEXT NULL;

-- What is no code of a currency becomes the code of none.
UPDATE project SET currency = 'XXX' WHERE CAST(currency AS BINARY) NOT REGEXP '^[A-Z]{3}$';
