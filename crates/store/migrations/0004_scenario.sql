-- A teacher's own scenarios: where stories come from.
CREATE TABLE IF NOT EXISTS scenario (
  id         BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  owner      BIGINT UNSIGNED NOT NULL,
  revision   INT UNSIGNED    NOT NULL DEFAULT 1 COMMENT 'one more at each save',
  document   JSON            NOT NULL,
  created_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  updated_at TIMESTAMP(3)    NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
  FOREIGN KEY (owner) REFERENCES teacher (id)
) DEFAULT CHARSET = utf8mb4;
