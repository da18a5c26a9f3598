-- The ladder that is being made for a lesson: one draft for each.
CREATE TABLE IF NOT EXISTS bench (
  lesson     BIGINT UNSIGNED NOT NULL PRIMARY KEY,
  revision   INT UNSIGNED    NOT NULL DEFAULT 1 COMMENT 'one more at each save',
  document   JSON            NOT NULL,
  updated_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  FOREIGN KEY (lesson) REFERENCES lesson (id)
) DEFAULT CHARSET = utf8mb4;

-- What a ladder was made of, so that other versions of it can be printed.
ALTER TABLE ladder ADD COLUMN IF NOT EXISTS plan JSON NULL AFTER document;
