-- Texts are utf8mb4; a document is the JSON of a versioned type of `teaching`, beside the columns that are searched.

CREATE TABLE IF NOT EXISTS teacher (
  id            BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  sign_in       VARCHAR(64)  NOT NULL UNIQUE,
  name          VARCHAR(120) NOT NULL,
  password_hash VARCHAR(255) NOT NULL,
  created_at    TIMESTAMP(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS session (
  id         BINARY(16)   NOT NULL PRIMARY KEY,
  data       LONGTEXT     NOT NULL,
  expires_at BIGINT       NOT NULL COMMENT 'Unix time in seconds',
  KEY by_expiry (expires_at)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS lesson (
  id         BIGINT UNSIGNED  NOT NULL AUTO_INCREMENT PRIMARY KEY,
  owner      BIGINT UNSIGNED  NOT NULL,
  revision   INT UNSIGNED     NOT NULL DEFAULT 1 COMMENT 'one more at each save',
  title      VARCHAR(120)     NOT NULL,
  topic      VARCHAR(120)     NOT NULL,
  grade      TINYINT UNSIGNED NOT NULL,
  strand     VARCHAR(24)      NOT NULL,
  document   JSON             NOT NULL,
  created_at TIMESTAMP(3)     NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  updated_at TIMESTAMP(3)     NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  KEY on_shelf (owner, grade, strand),
  FOREIGN KEY (owner) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS ladder (
  id         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  owner      BIGINT UNSIGNED NOT NULL,
  lesson     BIGINT UNSIGNED NOT NULL,
  title      VARCHAR(120)    NOT NULL,
  link       VARCHAR(32)     NOT NULL UNIQUE COMMENT 'opens its Step Desk; drawn at random',
  document   JSON            NOT NULL,
  created_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY of_lesson (lesson),
  FOREIGN KEY (owner) REFERENCES teacher (id),
  FOREIGN KEY (lesson) REFERENCES lesson (id)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS desk (
  id         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  ladder     BIGINT UNSIGNED NOT NULL,
  student    VARCHAR(40)     NOT NULL,
  created_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY of_ladder (ladder),
  FOREIGN KEY (ladder) REFERENCES ladder (id)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS desk_rung (
  desk       BIGINT UNSIGNED   NOT NULL,
  rung       SMALLINT UNSIGNED NOT NULL COMMENT 'from 1',
  revision   INT UNSIGNED      NOT NULL DEFAULT 1 COMMENT 'one more at each save',
  written    JSON              NOT NULL COMMENT 'as they were written',
  judgement  JSON              NOT NULL COMMENT 'as the student was told',
  updated_at TIMESTAMP(3)      NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  PRIMARY KEY (desk, rung),
  FOREIGN KEY (desk) REFERENCES desk (id)
) DEFAULT CHARSET = utf8mb4;
