-- What is shared: a lesson or a ladder, by a link or with every colleague of this installation.
CREATE TABLE IF NOT EXISTS share (
  id         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  owner      BIGINT UNSIGNED NOT NULL,
  lesson     BIGINT UNSIGNED NULL,
  ladder     BIGINT UNSIGNED NULL,
  kind       VARCHAR(12)     CHARACTER SET ascii NOT NULL COMMENT 'look, copy, edit or department',
  with_key   BOOLEAN         NOT NULL DEFAULT FALSE COMMENT 'of a ladder: whether its key is shown',
  link       VARCHAR(32)     NOT NULL UNIQUE COMMENT 'opens it; drawn at random',
  expires    BIGINT          NULL COMMENT 'Unix time in seconds',
  created_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY of_lesson (lesson),
  KEY of_ladder (ladder),
  KEY by_kind (kind, id),
  FOREIGN KEY (owner) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;

-- Colleagues who edit a lesson together with its owner: let in by a share, and out with it.
CREATE TABLE IF NOT EXISTS lesson_editor (
  lesson     BIGINT UNSIGNED NOT NULL,
  teacher    BIGINT UNSIGNED NOT NULL,
  share      BIGINT UNSIGNED NOT NULL,
  created_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (lesson, teacher),
  KEY of_teacher (teacher),
  FOREIGN KEY (lesson) REFERENCES lesson (id),
  FOREIGN KEY (teacher) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;

-- Where a copy came from, in words.
ALTER TABLE lesson ADD COLUMN IF NOT EXISTS came_from VARCHAR(300) NULL;
ALTER TABLE ladder ADD COLUMN IF NOT EXISTS came_from VARCHAR(300) NULL;
