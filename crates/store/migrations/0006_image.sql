-- Images that teachers put on their slides, as they were made safe.
CREATE TABLE IF NOT EXISTS image (
  id      BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  owner   BIGINT UNSIGNED NOT NULL,
  kind    VARCHAR(4)      NOT NULL COMMENT 'png, jpeg or svg',
  bytes   MEDIUMBLOB      NOT NULL,
  made_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  FOREIGN KEY (owner) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;
