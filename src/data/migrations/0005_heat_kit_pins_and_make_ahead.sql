-- Each deck of an oven is off by its own measure.
CREATE TABLE oven_deck (
  oven_id TEXT NOT NULL REFERENCES oven (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  offset_c REAL NOT NULL,
  PRIMARY KEY (oven_id, position)
) STRICT;
INSERT INTO oven_deck (oven_id, position, offset_c) SELECT id, 0, offset_c FROM oven;
ALTER TABLE oven DROP COLUMN offset_c;

-- Moulds, pans and trays, by how many there are.
CREATE TABLE vessel (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('mould', 'pan', 'tray')),
  count INTEGER NOT NULL CHECK (count > 0),
  holds INTEGER NOT NULL CHECK (holds > 0),
  version INTEGER NOT NULL
) STRICT;

-- Where trays stand: in the fridge, in the freezer, on a cooling rack.
CREATE TABLE shelf (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  place TEXT NOT NULL CHECK (place IN ('fridge', 'freezer', 'rack')),
  count INTEGER NOT NULL CHECK (count > 0),
  width_mm REAL NOT NULL,
  depth_mm REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE fryer (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  oil_kg REAL NOT NULL CHECK (oil_kg > 0),
  heater_w REAL NOT NULL CHECK (heater_w > 0),
  max_c REAL NOT NULL,
  basket_width_mm REAL NOT NULL,
  basket_depth_mm REAL NOT NULL,
  pot_depth_mm REAL NOT NULL,
  -- Highest level of oil with the food in it, as a share of the pot's depth.
  fill_share REAL NOT NULL CHECK (fill_share > 0 AND fill_share < 1),
  used_loads INTEGER NOT NULL CHECK (used_loads >= 0),
  change_after_loads INTEGER NOT NULL CHECK (change_after_loads > 0),
  version INTEGER NOT NULL
) STRICT;

-- Fried pieces, moulds, when a piece leaves its mould, how it is known to be done, and glaze.
ALTER TABLE piece ADD COLUMN heat_by TEXT NOT NULL DEFAULT 'oven' CHECK (heat_by IN ('oven', 'oil'));
ALTER TABLE piece ADD COLUMN vessel_id TEXT REFERENCES vessel (id);
-- Null unless it is taken out of a mould; the latest is null where it may stay in.
ALTER TABLE piece ADD COLUMN unmould_from_min INTEGER;
ALTER TABLE piece ADD COLUMN unmould_until_min INTEGER;
ALTER TABLE piece ADD COLUMN done_sign TEXT NOT NULL DEFAULT 'golden';
ALTER TABLE piece ADD COLUMN done_more_min INTEGER NOT NULL DEFAULT 2;
ALTER TABLE piece ADD COLUMN done_at_most INTEGER NOT NULL DEFAULT 0;
ALTER TABLE piece ADD COLUMN glaze TEXT NOT NULL DEFAULT 'none';
ALTER TABLE piece ADD COLUMN glaze_dry_min INTEGER NOT NULL DEFAULT 0;

-- How this kitchen reads an oven.
ALTER TABLE kitchen ADD COLUMN oven_scale TEXT NOT NULL DEFAULT 'celsius'
  CHECK (oven_scale IN ('celsius', 'fahrenheit', 'gas'));

-- Jobs that the baker has pinned to a minute.
CREATE TABLE day_pin (
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  task_id TEXT NOT NULL,
  start_min INTEGER NOT NULL,
  mode INTEGER NOT NULL,
  PRIMARY KEY (day_id, task_id)
) STRICT;

-- What a day makes for another one.
CREATE TABLE make_ahead (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  date TEXT NOT NULL,
  for_date TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('dough', 'filling', 'blanks', 'shells', 'frozenPieces')),
  ref_id TEXT NOT NULL,
  mass_g REAL NOT NULL CHECK (mass_g >= 0),
  count INTEGER NOT NULL CHECK (count >= 0),
  version INTEGER NOT NULL
) STRICT;
CREATE INDEX make_ahead_for_date ON make_ahead (for_date);
