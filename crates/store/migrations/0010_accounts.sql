-- Accounts that people make themselves: who administers, which sessions are whose, ways back, and what happened.
ALTER TABLE teacher ADD COLUMN IF NOT EXISTS is_administrator BOOLEAN NOT NULL DEFAULT FALSE AFTER password_hash;
ALTER TABLE teacher MODIFY COLUMN sign_in VARCHAR(120) NOT NULL;
-- The first account of an installation is its administrator.
UPDATE teacher SET is_administrator = TRUE WHERE id = (SELECT id FROM (SELECT MIN(id) AS id FROM teacher) AS first);

ALTER TABLE session ADD COLUMN IF NOT EXISTS teacher BIGINT UNSIGNED NULL AFTER data;
ALTER TABLE session ADD INDEX IF NOT EXISTS of_teacher (teacher);

-- Ways in and ways back, kept as hashes: whoever reads the table cannot use them.
CREATE TABLE IF NOT EXISTS token (
  secret     BINARY(32)      NOT NULL PRIMARY KEY COMMENT 'SHA-256 of what was given out',
  purpose    VARCHAR(16)     CHARACTER SET ascii NOT NULL COMMENT 'invitation or reset',
  teacher    BIGINT UNSIGNED NULL COMMENT 'whose password it resets, or who invites',
  expires_at BIGINT          NOT NULL COMMENT 'Unix time in seconds',
  KEY by_expiry (expires_at),
  KEY of_teacher (teacher)
);

CREATE TABLE IF NOT EXISTS audit (
  id      BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  at      BIGINT          NOT NULL COMMENT 'Unix time in seconds',
  teacher BIGINT UNSIGNED NULL COMMENT 'who did it, where that is known',
  name    VARCHAR(120)    NOT NULL COMMENT 'the name they signed in with',
  what    VARCHAR(40)     CHARACTER SET ascii NOT NULL,
  address VARCHAR(45)     CHARACTER SET ascii NOT NULL,
  KEY by_time (at),
  KEY of_teacher (teacher)
) DEFAULT CHARSET = utf8mb4;
