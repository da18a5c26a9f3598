-- A ladder may stand on the shelf by itself, and be hung on a lesson later.
ALTER TABLE ladder MODIFY COLUMN lesson BIGINT UNSIGNED NULL;
ALTER TABLE ladder ADD INDEX IF NOT EXISTS of_owner (owner, lesson);
-- The ladder that a teacher is making without a lesson: one draft for each teacher.
CREATE TABLE IF NOT EXISTS shelf_bench (
  owner      BIGINT UNSIGNED NOT NULL PRIMARY KEY,
  revision   INT UNSIGNED    NOT NULL COMMENT 'one more at each save',
  document   JSON            NOT NULL,
  updated_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  FOREIGN KEY (owner) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;
-- An assignment holds the ladder as it was given, where the class is taught by other methods, and may be for one student.
ALTER TABLE assignment ADD COLUMN IF NOT EXISTS document JSON NULL COMMENT 'as it was given; the ladder itself where absent';
ALTER TABLE assignment ADD COLUMN IF NOT EXISTS of_student BIGINT UNSIGNED NULL COMMENT 'for this student alone';
