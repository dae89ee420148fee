-- Cuts of any outline, pieces of several blanks, cutters that there are several of, and what becomes of the trim.
-- The checks on outlines and forms stand in the tables, so both are made anew; what points at a piece keeps its name.

CREATE TABLE piece_new (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  form TEXT NOT NULL CHECK (form IN ('halfMoon', 'triangle', 'rectangle', 'lidded', 'case', 'rosette')),
  top_oversize_mm REAL,
  hole_mm REAL,
  slice_mm REAL,
  slice_thickness_mm REAL,
  overlap_share REAL,
  cavity_mm REAL,
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
  web_mm REAL NOT NULL,
  ragged_mm REAL NOT NULL,
  cut_aim TEXT NOT NULL,
  pinned_shape TEXT CHECK (pinned_shape IN ('rectangle', 'oval')),
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
INSERT INTO piece_new (
  id, name, form, cut_kind, cut_width_mm, cut_height_mm, dough_id, filling_id, thickness_mm, margin_mm, plumpness,
  crimp, web_mm, ragged_mm, cut_aim, pinned_shape, pinned_width_mm, pinned_height_mm, spares, chill_min, oven_c,
  bake_min, bake_loss_share, spacing_mm, cool_min, version
)
SELECT
  id, name, form, cut_kind, cut_width_mm, cut_height_mm, dough_id, filling_id, thickness_mm, margin_mm, plumpness,
  crimp, web_mm, ragged_mm, cut_aim, CASE WHEN pinned_width_mm IS NULL THEN NULL ELSE 'rectangle' END,
  pinned_width_mm, pinned_height_mm, spares, chill_min, oven_c, bake_min, bake_loss_share, spacing_mm, cool_min, version
FROM piece ORDER BY rowid;
DROP TABLE piece;
ALTER TABLE piece_new RENAME TO piece;

CREATE TABLE cutter_new (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  outline_kind TEXT NOT NULL CHECK (outline_kind IN ('disc', 'oval', 'square', 'rectangle', 'triangle', 'ring', 'polygon', 'scalloped', 'star', 'heart', 'leaf', 'path')),
  width_mm REAL NOT NULL,
  height_mm REAL NOT NULL,
  corners INTEGER,
  path TEXT,
  count INTEGER NOT NULL DEFAULT 1,
  version INTEGER NOT NULL
) STRICT;
INSERT INTO cutter_new (id, name, outline_kind, width_mm, height_mm, version)
SELECT id, name, outline_kind, width_mm, height_mm, version FROM cutter ORDER BY rowid;
DROP TABLE cutter;
ALTER TABLE cutter_new RENAME TO cutter;

ALTER TABLE formula ADD COLUMN reroll_shrink_share REAL NOT NULL DEFAULT 0.01;
ALTER TABLE formula ADD COLUMN trim_end TEXT NOT NULL DEFAULT 'larder' CHECK (trim_end IN ('larder', 'decorations', 'waste'));
ALTER TABLE formula ADD COLUMN decoration_cutter_id TEXT;

-- What rollings really gave: one record a day, dough and thickness.
CREATE TABLE cut_record (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id) ON DELETE CASCADE,
  date TEXT NOT NULL,
  dough_id TEXT NOT NULL,
  planned INTEGER NOT NULL CHECK (planned > 0),
  got INTEGER NOT NULL CHECK (got >= 0),
  version INTEGER NOT NULL
) STRICT;
