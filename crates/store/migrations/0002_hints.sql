-- How strong a hint a student may be given on the Step Desk of a ladder: 0 none, up to 3.
ALTER TABLE ladder ADD COLUMN IF NOT EXISTS hints TINYINT UNSIGNED NOT NULL DEFAULT 3 AFTER link;
