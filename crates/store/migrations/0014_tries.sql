-- Several tries at an assignment, with the same numbers or new ones: each is a desk of its own.
ALTER TABLE assignment
  ADD COLUMN IF NOT EXISTS tries TINYINT UNSIGNED NOT NULL DEFAULT 1 COMMENT '0: as many as they like',
  ADD COLUMN IF NOT EXISTS fresh BOOLEAN NOT NULL DEFAULT FALSE COMMENT 'each try has other numbers';
ALTER TABLE desk
  ADD COLUMN IF NOT EXISTS nth TINYINT UNSIGNED NOT NULL DEFAULT 1 COMMENT 'which try of its student it is',
  ADD COLUMN IF NOT EXISTS document LONGTEXT DEFAULT NULL
    COMMENT 'the ladder with the numbers of this try; that of the assignment where absent'
    CHECK (document IS NULL OR json_valid(document)),
  ADD UNIQUE KEY IF NOT EXISTS one_try (assignment, of_student, nth),
  DROP KEY IF EXISTS one_desk;
