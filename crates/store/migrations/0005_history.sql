-- What a lesson was after each stretch of work on it.
CREATE TABLE IF NOT EXISTS lesson_version (
  lesson   BIGINT UNSIGNED NOT NULL,
  revision INT UNSIGNED    NOT NULL COMMENT 'the last one of the stretch',
  teacher  BIGINT UNSIGNED NOT NULL COMMENT 'who saved it',
  document JSON            NOT NULL,
  began_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3) COMMENT 'when the stretch began',
  saved_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (lesson, revision),
  FOREIGN KEY (lesson) REFERENCES lesson (id),
  FOREIGN KEY (teacher) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;

INSERT IGNORE INTO lesson_version (lesson, revision, teacher, document, began_at, saved_at)
SELECT id, revision, owner, document, updated_at, updated_at FROM lesson;

-- Where a lesson stands: on the shelf, put away, or in the bin, from which it can come back.
ALTER TABLE lesson ADD COLUMN IF NOT EXISTS place VARCHAR(8) NOT NULL DEFAULT 'shelf' AFTER strand;
