-- Masses in g, lengths in mm, times in min, temperatures in °C, shares as fractions of 1.
-- `version` rises with every write; a write that expects an older one is refused.

CREATE TABLE formula (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL CHECK (kind IN ('dough', 'filling')),
  name TEXT NOT NULL,
  density_g_per_ml REAL NOT NULL CHECK (density_g_per_ml > 0),
  mix_min REAL NOT NULL,
  spring_back_share REAL,
  reroll_limit INTEGER,
  reroll_loss_share REAL,
  rest_min REAL,
  reroll_rest_min REAL,
  bench_limit_min REAL,
  making_loss_share REAL,
  cool_min REAL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE formula_line (
  formula_id TEXT NOT NULL REFERENCES formula (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  id TEXT NOT NULL,
  name TEXT NOT NULL,
  amount_text TEXT NOT NULL,
  mass_g REAL NOT NULL CHECK (mass_g > 0),
  PRIMARY KEY (formula_id, position)
) STRICT;

CREATE TABLE piece (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  form TEXT NOT NULL CHECK (form IN ('halfMoon', 'triangle', 'rectangle')),
  cut_kind TEXT NOT NULL CHECK (cut_kind IN ('disc', 'square', 'rectangle')),
  cut_width_mm REAL NOT NULL,
  cut_height_mm REAL NOT NULL,
  dough_id TEXT NOT NULL REFERENCES formula (id),
  filling_id TEXT NOT NULL REFERENCES formula (id),
  thickness_mm REAL NOT NULL,
  margin_mm REAL NOT NULL,
  plumpness REAL NOT NULL,
  crimp TEXT NOT NULL,
  web_mm REAL NOT NULL,
  ragged_mm REAL NOT NULL,
  cut_aim TEXT NOT NULL,
  pinned_width_mm REAL,
  pinned_height_mm REAL,
  spares INTEGER NOT NULL,
  chill_min REAL NOT NULL,
  oven_c REAL NOT NULL,
  bake_min REAL NOT NULL,
  bake_loss_share REAL NOT NULL,
  spacing_mm REAL NOT NULL,
  cool_min REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE bench (
  id TEXT PRIMARY KEY,
  width_mm REAL NOT NULL,
  depth_mm REAL NOT NULL,
  sheet_max_width_mm REAL NOT NULL,
  sheet_max_depth_mm REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE oven (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  trays_at_once INTEGER NOT NULL,
  tray_width_mm REAL NOT NULL,
  tray_depth_mm REAL NOT NULL,
  heat_up_c_per_min REAL NOT NULL,
  cool_down_c_per_min REAL NOT NULL,
  max_c REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE cutter (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  outline_kind TEXT NOT NULL CHECK (outline_kind IN ('disc', 'square', 'rectangle')),
  width_mm REAL NOT NULL,
  height_mm REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE day (
  id TEXT PRIMARY KEY,
  date TEXT NOT NULL UNIQUE,
  name TEXT NOT NULL,
  open_min INTEGER NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE day_order (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  piece_id TEXT NOT NULL REFERENCES piece (id),
  count INTEGER NOT NULL CHECK (count > 0),
  due_min INTEGER NOT NULL,
  customer TEXT NOT NULL,
  version INTEGER NOT NULL
) STRICT;

CREATE INDEX day_order_by_day ON day_order (day_id);
