-- Live lessons: the lesson as it stood when it was opened, and what happened in it, one event after the other.
CREATE TABLE IF NOT EXISTS live_lesson (
  id         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class      BIGINT UNSIGNED NOT NULL,
  lesson     BIGINT UNSIGNED NULL COMMENT 'the lesson it was taught from, while that is kept',
  title      VARCHAR(200)    NOT NULL,
  document   LONGTEXT        NOT NULL COMMENT 'the lesson as it stood' CHECK (json_valid(document)),
  code       VARCHAR(8)      CHARACTER SET ascii NULL UNIQUE COMMENT 'opens it to students; none once it has ended',
  seq        BIGINT UNSIGNED NOT NULL DEFAULT 0 COMMENT 'the last event; taken under a lock of this row',
  began      BIGINT          NOT NULL COMMENT 'Unix time in milliseconds',
  ended      BIGINT          NULL,
  KEY of_class (class),
  KEY of_lesson (lesson),
  FOREIGN KEY (class) REFERENCES class (id)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS live_event (
  live       BIGINT UNSIGNED NOT NULL,
  seq        BIGINT UNSIGNED NOT NULL,
  at         BIGINT          NOT NULL COMMENT 'Unix time in milliseconds, by the clock of the server',
  student    BIGINT UNSIGNED NULL COMMENT 'who did it; nobody for the teacher',
  token      VARCHAR(32)     CHARACTER SET ascii NULL COMMENT 'drawn by whoever sends it, so that it is kept once',
  event      LONGTEXT        NOT NULL CHECK (json_valid(event)),
  PRIMARY KEY (live, seq),
  UNIQUE KEY once (live, student, token),
  KEY of_student (student),
  FOREIGN KEY (live) REFERENCES live_lesson (id)
) DEFAULT CHARSET = utf8mb4;
