-- Which server works at a run, as it is called among the servers of the same database; nothing where there is one alone.
ALTER TABLE run ADD COLUMN IF NOT EXISTS server VARCHAR(60);
