-- Formulas as the craft writes them: method, liquid as a range, working window, rest, what it is divided into.
ALTER TABLE formula ADD COLUMN steps TEXT NOT NULL DEFAULT '[]';
ALTER TABLE formula ADD COLUMN method TEXT NOT NULL DEFAULT 'rubbed';
ALTER TABLE formula ADD COLUMN fat_particle TEXT NOT NULL DEFAULT 'pea';
ALTER TABLE formula ADD COLUMN liquid_school TEXT NOT NULL DEFAULT 'justHolds';
ALTER TABLE formula ADD COLUMN window_low_c REAL NOT NULL DEFAULT 10;
ALTER TABLE formula ADD COLUMN window_high_c REAL NOT NULL DEFAULT 16;
ALTER TABLE formula ADD COLUMN rest_way TEXT NOT NULL DEFAULT 'minutes';
ALTER TABLE formula ADD COLUMN divided_into TEXT NOT NULL DEFAULT 'disc';
ALTER TABLE formula ADD COLUMN bought_width_mm REAL;
ALTER TABLE formula ADD COLUMN bought_height_mm REAL;
ALTER TABLE formula ADD COLUMN bought_thickness_mm REAL;
ALTER TABLE formula ADD COLUMN family TEXT NOT NULL DEFAULT 'filling';
ALTER TABLE formula ADD COLUMN keeps_days INTEGER NOT NULL DEFAULT 2;
ALTER TABLE formula_line ADD COLUMN most_g REAL;
ALTER TABLE formula_line ADD COLUMN ingredient_id TEXT;

-- Every state a formula was left in; the body is a snapshot, never changed once a later one stands.
CREATE TABLE formula_edition (
  formula_id TEXT NOT NULL,
  edition INTEGER NOT NULL,
  written_at TEXT NOT NULL,
  body TEXT NOT NULL,
  PRIMARY KEY (formula_id, edition)
) STRICT;

-- The baker's own entries and corrections of the ingredient book.
CREATE TABLE ingredient (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  other_names TEXT NOT NULL,
  food_group TEXT NOT NULL,
  densities TEXT NOT NULL,
  piece_g REAL,
  water_share REAL NOT NULL,
  fat_share REAL NOT NULL,
  sugar_share REAL NOT NULL,
  starch_share REAL NOT NULL,
  allergens TEXT NOT NULL,
  pack_g REAL,
  pack_price_minor INTEGER,
  source TEXT NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE kitchen (
  id TEXT PRIMARY KEY,
  measure_system TEXT NOT NULL,
  egg_size TEXT NOT NULL,
  room_c REAL NOT NULL,
  fridge_c REAL NOT NULL,
  freezer_c REAL NOT NULL,
  mixed_c REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE larder_item (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('dough', 'filling', 'blanks', 'shells', 'frozenPieces')),
  ref_id TEXT NOT NULL,
  mass_g REAL NOT NULL,
  count INTEGER NOT NULL,
  made_on TEXT NOT NULL,
  use_by TEXT NOT NULL,
  from_day_id TEXT,
  taken_by_day_id TEXT,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE weighing (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  date TEXT NOT NULL,
  formula_id TEXT NOT NULL,
  ticked_line_ids TEXT NOT NULL,
  took_g REAL,
  took_scale REAL,
  mix_g REAL,
  version INTEGER NOT NULL,
  UNIQUE (day_id, formula_id)
) STRICT;
