-- What stands in the place for the answer, apart from the lines above it.
ALTER TABLE desk_rung ADD COLUMN IF NOT EXISTS answer JSON NULL AFTER written;
-- Whether an answer may stand without a working on the Step Desk of a ladder.
ALTER TABLE ladder ADD COLUMN IF NOT EXISTS alone BOOLEAN NOT NULL DEFAULT TRUE AFTER hints;
