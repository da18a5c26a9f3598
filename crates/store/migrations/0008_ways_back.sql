-- A student's way back to a desk: the name and a short code.
ALTER TABLE desk ADD COLUMN IF NOT EXISTS code VARCHAR(8) CHARACTER SET ascii NOT NULL DEFAULT '' COMMENT 'with the name, the way back';
UPDATE desk SET code = SUBSTRING(MD5(CONCAT(id, RAND())), 1, 4) WHERE code = '';

-- How often something was tried, so that it can be limited on every server of one database.
CREATE TABLE IF NOT EXISTS attempt (
  subject BINARY(32)      NOT NULL PRIMARY KEY COMMENT 'what is tried by whom, as a hash',
  began   BIGINT          NOT NULL COMMENT 'Unix time in seconds',
  times   INT UNSIGNED    NOT NULL,
  KEY by_age (began)
);

-- What is known of this installation, such as whether its demo world is whole.
CREATE TABLE IF NOT EXISTS setting (
  name  VARCHAR(40)  CHARACTER SET ascii NOT NULL PRIMARY KEY,
  value VARCHAR(200) NOT NULL
) DEFAULT CHARSET = utf8mb4;
