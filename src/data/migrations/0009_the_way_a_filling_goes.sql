-- How a filling is made on the clock: its steps in their order, in place of parts cooked before, hands and cooling.
CREATE TABLE formula_making (
  formula_id TEXT NOT NULL REFERENCES formula (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  -- Its own within the filling.
  step_key TEXT NOT NULL,
  kind TEXT NOT NULL,
  name TEXT NOT NULL DEFAULT '',
  hands_min REAL NOT NULL CHECK (hands_min >= 0),
  minutes REAL NOT NULL CHECK (minutes >= 0),
  PRIMARY KEY (formula_id, position),
  UNIQUE (formula_id, step_key)
) STRICT;

-- Parts in their order, each with its cooling; then the filling is put together and cools.
CREATE TEMP TABLE former_making AS
SELECT formula_id, 10 * position AS slot, id AS step_key, 'cookPart' AS kind, name, hand_min AS hands_min,
  cook_min AS minutes
FROM formula_part
UNION ALL
SELECT formula_id, 10 * position + 1, id || '-cool', 'cool', '', 0, cool_min FROM formula_part WHERE cool_min > 0
UNION ALL
SELECT id, 10000, 'make', 'make', '', mix_min, 0 FROM formula WHERE kind = 'filling'
UNION ALL
SELECT id, 10001, 'cool', 'cool', '', 0, cool_min FROM formula WHERE kind = 'filling' AND cool_min > 0;
INSERT INTO formula_making (formula_id, position, step_key, kind, name, hands_min, minutes)
SELECT formula_id, row_number() OVER (PARTITION BY formula_id ORDER BY slot) - 1, step_key, kind, name, hands_min, minutes
FROM former_making;
DROP TABLE former_making;
DROP TABLE formula_part;
ALTER TABLE formula DROP COLUMN cool_min;
-- Hands of a dough; a filling's are in its steps.
UPDATE formula SET mix_min = 0 WHERE kind = 'filling';
