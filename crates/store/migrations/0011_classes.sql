-- Classes and their students. Of a student only a first name and a code are kept, and what they write.
CREATE TABLE IF NOT EXISTS class (
  id         BIGINT UNSIGNED  NOT NULL AUTO_INCREMENT PRIMARY KEY,
  owner      BIGINT UNSIGNED  NOT NULL,
  title      VARCHAR(80)      NOT NULL,
  grade      TINYINT UNSIGNED NOT NULL,
  methods    JSON             NOT NULL COMMENT 'the method of each skill, where it is not the usual one',
  link       VARCHAR(32)      NOT NULL UNIQUE COMMENT 'opens the page of its students; drawn at random',
  keep_days  SMALLINT UNSIGNED NOT NULL DEFAULT 400 COMMENT 'work that was not touched for so long goes',
  created_at TIMESTAMP(3)     NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY of_owner (owner),
  FOREIGN KEY (owner) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;

CREATE TABLE IF NOT EXISTS student (
  id         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class      BIGINT UNSIGNED NOT NULL,
  name       VARCHAR(40)     NOT NULL,
  code       VARCHAR(8)      CHARACTER SET ascii NOT NULL COMMENT 'brings the same desk back on any device',
  hidden     BOOLEAN         NOT NULL DEFAULT FALSE COMMENT 'left the class; the work stays',
  created_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  UNIQUE KEY one_name (class, name),
  UNIQUE KEY one_code (class, code),
  FOREIGN KEY (class) REFERENCES class (id)
) DEFAULT CHARSET = utf8mb4;

-- A ladder given to a class, with a Step Desk of its own.
CREATE TABLE IF NOT EXISTS assignment (
  id         BIGINT UNSIGNED  NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class      BIGINT UNSIGNED  NOT NULL,
  ladder     BIGINT UNSIGNED  NOT NULL,
  link       VARCHAR(32)      NOT NULL UNIQUE COMMENT 'opens its Step Desk for a student of the class',
  due        BIGINT           NULL COMMENT 'Unix time in seconds',
  hints      TINYINT UNSIGNED NOT NULL DEFAULT 3,
  alone      BOOLEAN          NOT NULL DEFAULT TRUE COMMENT 'an answer may stand without a working',
  feedback   VARCHAR(12)      CHARACTER SET ascii NOT NULL DEFAULT 'at_once' COMMENT 'at_once or given_back',
  staged     BOOLEAN          NOT NULL DEFAULT FALSE COMMENT 'a stage opens when the one below is finished',
  created_at TIMESTAMP(3)     NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  KEY of_class (class),
  KEY of_ladder (ladder),
  FOREIGN KEY (class) REFERENCES class (id),
  FOREIGN KEY (ladder) REFERENCES ladder (id)
) DEFAULT CHARSET = utf8mb4;

-- A desk may be a student's of a class, for an assignment.
ALTER TABLE desk ADD COLUMN IF NOT EXISTS assignment BIGINT UNSIGNED NULL AFTER ladder;
ALTER TABLE desk ADD COLUMN IF NOT EXISTS of_student BIGINT UNSIGNED NULL AFTER assignment;
ALTER TABLE desk ADD COLUMN IF NOT EXISTS handed_in BIGINT NULL COMMENT 'Unix time in seconds';
ALTER TABLE desk ADD COLUMN IF NOT EXISTS given_back BIGINT NULL COMMENT 'Unix time in seconds';
ALTER TABLE desk ADD UNIQUE INDEX IF NOT EXISTS one_desk (assignment, of_student);
-- What the teacher says of a rung.
ALTER TABLE desk_rung ADD COLUMN IF NOT EXISTS mark VARCHAR(8) CHARACTER SET ascii NULL COMMENT 'right, partly or again';
ALTER TABLE desk_rung ADD COLUMN IF NOT EXISTS remark VARCHAR(400) NULL;
