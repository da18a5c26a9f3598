-- A class to which whoever has its link adds themselves: for a ladder that is given by its link alone.
ALTER TABLE class
  ADD COLUMN IF NOT EXISTS is_open BOOLEAN NOT NULL DEFAULT FALSE
    COMMENT 'whoever has a link to it may add themselves';
