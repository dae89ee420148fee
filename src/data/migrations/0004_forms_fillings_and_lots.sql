-- Every form with its figures; what else a piece holds, how it is closed, washed and baked; what fillings do in the
-- heat; and what lots really took. The check on forms stands in the table, so it is made anew.

CREATE TABLE piece_new (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  form TEXT NOT NULL CHECK (form IN ('halfMoon', 'triangle', 'rectangle', 'largeFold', 'lidded', 'wrapped', 'gathered', 'lined', 'case', 'rosette', 'puck', 'pressed')),
  top_oversize_mm REAL,
  stick_length_mm REAL,
  stick_thickness_mm REAL,
  hole_mm REAL,
  slice_mm REAL,
  slice_thickness_mm REAL,
  overlap_share REAL,
  cavity_mm REAL,
  spread_mm REAL,
  servings REAL,
  fruit_mm REAL,
  fruit_height_mm REAL,
  foot_mm REAL,
  core_mm REAL,
  overlap_mm REAL,
  finished_mm REAL,
  log_mm REAL,
  stacked REAL,
  sheet_mm REAL,
  press_mm REAL,
  mould_depth_mm REAL,
  mould_flute_mm REAL,
  mould_base_mm REAL,
  mould_rim_mm REAL,
  mould_narrow_base_mm REAL,
  mould_narrow_rim_mm REAL,
  mould_kind TEXT CHECK (mould_kind IN ('round', 'fluted', 'looseBottomed', 'muffin', 'oval')),
  topping TEXT CHECK (topping IN ('open', 'lid', 'cutOut')),
  topping_kind TEXT CHECK (topping_kind IN ('disc', 'oval', 'square', 'rectangle', 'triangle', 'ring', 'polygon', 'scalloped', 'star', 'heart', 'leaf', 'path')),
  topping_width_mm REAL,
  topping_height_mm REAL,
  topping_corners INTEGER,
  topping_path TEXT,
  cut_kind TEXT NOT NULL CHECK (cut_kind IN ('disc', 'oval', 'square', 'rectangle', 'triangle', 'ring', 'polygon', 'scalloped', 'star', 'heart', 'leaf', 'path')),
  cut_width_mm REAL NOT NULL,
  cut_height_mm REAL NOT NULL,
  cut_corners INTEGER,
  cut_path TEXT,
  dough_id TEXT NOT NULL REFERENCES formula (id),
  filling_id TEXT NOT NULL REFERENCES formula (id),
  thickness_mm REAL NOT NULL,
  margin_mm REAL NOT NULL,
  plumpness REAL NOT NULL,
  crimp TEXT NOT NULL,
  glue TEXT NOT NULL DEFAULT 'water' CHECK (glue IN ('none', 'water', 'egg', 'white')),
  vent_kind TEXT NOT NULL DEFAULT 'none' CHECK (vent_kind IN ('none', 'pricks', 'slits', 'cutOut')),
  vent_count INTEGER NOT NULL DEFAULT 0,
  wash_kind TEXT NOT NULL DEFAULT 'none' CHECK (wash_kind IN ('none', 'egg', 'eggWater', 'eggMilk', 'milk', 'white')),
  wash_coats INTEGER NOT NULL DEFAULT 1,
  wash_sugar TEXT NOT NULL DEFAULT 'none' CHECK (wash_sugar IN ('none', 'before', 'after')),
  tin TEXT NOT NULL DEFAULT 'bare' CHECK (tin IN ('bare', 'buttered', 'floured', 'sprayed', 'papered')),
  web_mm REAL NOT NULL,
  ragged_mm REAL NOT NULL,
  cut_aim TEXT NOT NULL,
  pinned_shape TEXT CHECK (pinned_shape IN ('rectangle', 'oval')),
  pinned_width_mm REAL,
  pinned_height_mm REAL,
  spares INTEGER NOT NULL,
  chill_min REAL NOT NULL,
  bake_loss_share REAL NOT NULL,
  spacing_mm REAL NOT NULL,
  cool_min REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;
INSERT INTO piece_new (
  id, name, form, top_oversize_mm, hole_mm, slice_mm, slice_thickness_mm, overlap_share, cavity_mm, cut_kind,
  cut_width_mm, cut_height_mm, cut_corners, cut_path, dough_id, filling_id, thickness_mm, margin_mm, plumpness, crimp,
  web_mm, ragged_mm, cut_aim, pinned_shape, pinned_width_mm, pinned_height_mm, spares, chill_min, bake_loss_share,
  spacing_mm, cool_min, version
)
SELECT
  id, name, form, top_oversize_mm, hole_mm, slice_mm, slice_thickness_mm, overlap_share, cavity_mm, cut_kind,
  cut_width_mm, cut_height_mm, cut_corners, cut_path, dough_id, filling_id, thickness_mm, margin_mm, plumpness, crimp,
  web_mm, ragged_mm, cut_aim, pinned_shape, pinned_width_mm, pinned_height_mm, spares, chill_min, bake_loss_share,
  spacing_mm, cool_min, version
FROM piece ORDER BY rowid;

-- How a piece is baked, stage after stage.
CREATE TABLE piece_stage (
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  oven_c REAL NOT NULL,
  minutes REAL NOT NULL,
  act TEXT NOT NULL CHECK (act IN ('none', 'turn', 'secondCoat', 'weightsOut', 'pressDown', 'fill')),
  PRIMARY KEY (piece_id, position)
) STRICT;
INSERT INTO piece_stage (piece_id, position, oven_c, minutes, act)
SELECT id, 0, oven_c, bake_min, 'none' FROM piece;

DROP TABLE piece;
ALTER TABLE piece_new RENAME TO piece;

-- What a piece holds beside its main filling.
CREATE TABLE piece_extra (
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('layer', 'share', 'alternate', 'sauce', 'inclusion')),
  filling_id TEXT REFERENCES formula (id),
  height_mm REAL,
  share REAL,
  each_g REAL,
  per_pan INTEGER,
  name TEXT,
  count INTEGER,
  g_per_ml REAL,
  PRIMARY KEY (piece_id, position)
) STRICT;

ALTER TABLE formula ADD COLUMN wetness TEXT NOT NULL DEFAULT 'moist' CHECK (wetness IN ('dry', 'moist', 'wet'));
ALTER TABLE formula ADD COLUMN shrink_share REAL NOT NULL DEFAULT 0;
ALTER TABLE formula ADD COLUMN measure TEXT NOT NULL DEFAULT 'spoon' CHECK (measure IN ('spoon', 'scoop', 'bag', 'jug'));
-- Null unless the filling is raw fruit.
ALTER TABLE formula ADD COLUMN trim_loss_share REAL;

CREATE TABLE formula_variety (
  formula_id TEXT NOT NULL REFERENCES formula (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  share REAL NOT NULL CHECK (share > 0),
  tartness TEXT NOT NULL CHECK (tartness IN ('sweet', 'mild', 'tart', 'sharp')),
  is_soft INTEGER NOT NULL CHECK (is_soft IN (0, 1)),
  PRIMARY KEY (formula_id, position)
) STRICT;

-- Parts that are cooked and cooled before a filling is made of them.
CREATE TABLE formula_part (
  formula_id TEXT NOT NULL REFERENCES formula (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  id TEXT NOT NULL,
  name TEXT NOT NULL,
  hand_min REAL NOT NULL,
  cook_min REAL NOT NULL,
  cool_min REAL NOT NULL,
  PRIMARY KEY (formula_id, position)
) STRICT;

-- Ovens of other kinds, how far each is off, and a helper for part of a day.
ALTER TABLE oven ADD COLUMN kind TEXT NOT NULL DEFAULT 'still' CHECK (kind IN ('still', 'fan', 'hotAir'));
ALTER TABLE oven ADD COLUMN offset_c REAL NOT NULL DEFAULT 0;
ALTER TABLE day ADD COLUMN helper_from_min INTEGER;
ALTER TABLE day ADD COLUMN helper_to_min INTEGER;

-- The order of a day that a search has found and the baker has kept.
CREATE TABLE day_laid (
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  task_id TEXT NOT NULL,
  start_min INTEGER NOT NULL,
  mode INTEGER NOT NULL,
  PRIMARY KEY (day_id, task_id)
) STRICT;

-- What making one kind of piece on one day took and how many leaked, beside what the craft reckoned then.
CREATE TABLE lot_record (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  date TEXT NOT NULL,
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  pieces INTEGER NOT NULL CHECK (pieces > 0),
  fill_style TEXT,
  fill_min REAL,
  fill_craft_min REAL,
  close_style TEXT,
  close_min REAL,
  close_craft_min REAL,
  leaked INTEGER CHECK (leaked >= 0),
  craft_leak_share REAL NOT NULL,
  version INTEGER NOT NULL
) STRICT;
