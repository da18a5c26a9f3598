-- What a shelf shows of a lesson and of a ladder, beside the document, so that a list reads no whole documents.
-- The words are what it is found by, in small letters; rows of before have none yet, and get theirs at the next start.
ALTER TABLE lesson
  ADD COLUMN IF NOT EXISTS minutes SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER place,
  ADD COLUMN IF NOT EXISTS slides  SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER minutes,
  ADD COLUMN IF NOT EXISTS claims  INT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'lines of working that follow from another one' AFTER slides,
  ADD COLUMN IF NOT EXISTS proved  INT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'those of them that hold' AFTER claims,
  ADD COLUMN IF NOT EXISTS words   MEDIUMTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL AFTER proved,
  ADD KEY IF NOT EXISTS in_order (owner, place, grade, updated_at, id);

ALTER TABLE ladder
  ADD COLUMN IF NOT EXISTS rungs  SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER hints,
  ADD COLUMN IF NOT EXISTS skills JSON NULL COMMENT 'the ids of its skills, each once, in the order of its rungs' AFTER rungs,
  ADD COLUMN IF NOT EXISTS words  TEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL AFTER skills,
  ADD KEY IF NOT EXISTS of_owner (owner, id);
