-- Days are read by index, the log is kept as sums, what is taken away stays for the days that name it, and a group of
-- changes that comes twice counts once.

ALTER TABLE piece ADD COLUMN is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1));
ALTER TABLE formula ADD COLUMN is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1));
ALTER TABLE vessel ADD COLUMN is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1));

-- The zone whose wall clock the kitchen goes by; null for the computer's own.
ALTER TABLE kitchen ADD COLUMN time_zone TEXT;

-- A date belongs to one day; a day that was taken away no longer holds it.
CREATE TABLE day_new (
  id TEXT PRIMARY KEY,
  date TEXT NOT NULL,
  name TEXT NOT NULL,
  open_min INTEGER NOT NULL,
  helper_from_min INTEGER,
  helper_to_min INTEGER,
  is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1)),
  version INTEGER NOT NULL
) STRICT;
INSERT INTO day_new (id, date, name, open_min, helper_from_min, helper_to_min, version)
SELECT id, date, name, open_min, helper_from_min, helper_to_min, version FROM day ORDER BY rowid;
DROP TABLE day;
ALTER TABLE day_new RENAME TO day;
CREATE UNIQUE INDEX day_by_date ON day (date) WHERE is_archived = 0;

ALTER TABLE day_laid ADD COLUMN position INTEGER NOT NULL DEFAULT 0;
UPDATE day_laid SET position = rowid;
ALTER TABLE day_pin ADD COLUMN position INTEGER NOT NULL DEFAULT 0;
UPDATE day_pin SET position = rowid;

-- What hangs on a day no longer goes with it: the tables are made anew without ON DELETE CASCADE.
CREATE TABLE day_order_new (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id),
  piece_id TEXT NOT NULL REFERENCES piece (id),
  count INTEGER NOT NULL CHECK (count > 0),
  due_min INTEGER NOT NULL,
  customer TEXT NOT NULL,
  version INTEGER NOT NULL
) STRICT;
INSERT INTO day_order_new SELECT id, day_id, piece_id, count, due_min, customer, version FROM day_order ORDER BY rowid;
DROP TABLE day_order;
ALTER TABLE day_order_new RENAME TO day_order;
CREATE INDEX day_order_by_day ON day_order (day_id);
CREATE INDEX day_order_by_piece ON day_order (piece_id);

CREATE TABLE weighing_new (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id),
  date TEXT NOT NULL,
  formula_id TEXT NOT NULL,
  ticked_line_ids TEXT NOT NULL,
  took_g REAL,
  took_scale REAL,
  mix_g REAL,
  version INTEGER NOT NULL,
  UNIQUE (day_id, formula_id)
) STRICT;
INSERT INTO weighing_new
SELECT id, day_id, date, formula_id, ticked_line_ids, took_g, took_scale, mix_g, version FROM weighing ORDER BY rowid;
DROP TABLE weighing;
ALTER TABLE weighing_new RENAME TO weighing;
CREATE INDEX weighing_took ON weighing (formula_id, date) WHERE took_g IS NOT NULL;

CREATE TABLE cut_record_new (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id),
  date TEXT NOT NULL,
  dough_id TEXT NOT NULL,
  planned INTEGER NOT NULL CHECK (planned > 0),
  got INTEGER NOT NULL CHECK (got >= 0),
  version INTEGER NOT NULL
) STRICT;
INSERT INTO cut_record_new SELECT id, day_id, date, dough_id, planned, got, version FROM cut_record ORDER BY rowid;
DROP TABLE cut_record;
ALTER TABLE cut_record_new RENAME TO cut_record;
CREATE INDEX cut_record_by_day ON cut_record (day_id);

CREATE TABLE lot_record_new (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id),
  date TEXT NOT NULL,
  piece_id TEXT NOT NULL REFERENCES piece (id),
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
INSERT INTO lot_record_new
SELECT id, day_id, date, piece_id, pieces, fill_style, fill_min, fill_craft_min, close_style, close_min,
  close_craft_min, leaked, craft_leak_share, version
FROM lot_record ORDER BY rowid;
DROP TABLE lot_record;
ALTER TABLE lot_record_new RENAME TO lot_record;
CREATE INDEX lot_record_by_day ON lot_record (day_id);
CREATE INDEX lot_record_by_piece ON lot_record (piece_id);

CREATE TABLE make_ahead_new (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id),
  date TEXT NOT NULL,
  for_date TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('dough', 'filling', 'blanks', 'shells', 'frozenPieces')),
  ref_id TEXT NOT NULL,
  mass_g REAL NOT NULL CHECK (mass_g >= 0),
  count INTEGER NOT NULL CHECK (count >= 0),
  version INTEGER NOT NULL
) STRICT;
INSERT INTO make_ahead_new
SELECT id, day_id, date, for_date, kind, ref_id, mass_g, count, version FROM make_ahead ORDER BY rowid;
DROP TABLE make_ahead;
ALTER TABLE make_ahead_new RENAME TO make_ahead;
CREATE INDEX make_ahead_by_day ON make_ahead (day_id);
CREATE INDEX make_ahead_for_date ON make_ahead (for_date);

CREATE INDEX larder_open ON larder_item (made_on) WHERE taken_by_day_id IS NULL;
CREATE INDEX larder_taken ON larder_item (taken_by_day_id) WHERE taken_by_day_id IS NOT NULL;
CREATE INDEX larder_from ON larder_item (from_day_id) WHERE from_day_id IS NOT NULL;
CREATE INDEX piece_by_dough ON piece (dough_id);
CREATE INDEX piece_by_filling ON piece (filling_id);
CREATE INDEX piece_by_vessel ON piece (vessel_id) WHERE vessel_id IS NOT NULL;
CREATE INDEX piece_extra_by_filling ON piece_extra (filling_id) WHERE filling_id IS NOT NULL;
CREATE INDEX formula_edition_written ON formula_edition (formula_id, written_at);

-- The log as sums, kept by the tables themselves. What each is the sum of: src/core/habits.
CREATE TABLE yield_sum (
  dough_id TEXT PRIMARY KEY,
  rollings INTEGER NOT NULL,
  share REAL NOT NULL,
  share_squares REAL NOT NULL
) STRICT, WITHOUT ROWID;
CREATE TRIGGER cut_record_added AFTER INSERT ON cut_record BEGIN
  INSERT INTO yield_sum VALUES (new.dough_id, 1, new.got * 1.0 / new.planned, pow(new.got * 1.0 / new.planned, 2))
  ON CONFLICT (dough_id) DO UPDATE SET
    rollings = rollings + 1, share = share + excluded.share, share_squares = share_squares + excluded.share_squares;
END;
CREATE TRIGGER cut_record_taken AFTER DELETE ON cut_record BEGIN
  UPDATE yield_sum SET
    rollings = rollings - 1,
    share = share - old.got * 1.0 / old.planned,
    share_squares = share_squares - pow(old.got * 1.0 / old.planned, 2)
  WHERE dough_id = old.dough_id;
END;
CREATE TRIGGER cut_record_changed AFTER UPDATE OF dough_id, planned, got ON cut_record BEGIN
  UPDATE yield_sum SET
    rollings = rollings - 1,
    share = share - old.got * 1.0 / old.planned,
    share_squares = share_squares - pow(old.got * 1.0 / old.planned, 2)
  WHERE dough_id = old.dough_id;
  INSERT INTO yield_sum VALUES (new.dough_id, 1, new.got * 1.0 / new.planned, pow(new.got * 1.0 / new.planned, 2))
  ON CONFLICT (dough_id) DO UPDATE SET
    rollings = rollings + 1, share = share + excluded.share, share_squares = share_squares + excluded.share_squares;
END;
INSERT INTO yield_sum
SELECT dough_id, count(*), sum(got * 1.0 / planned), sum(pow(got * 1.0 / planned, 2)) FROM cut_record GROUP BY dough_id;

-- Work is 'fill' or 'close'. A lot is one row of each that was timed.
CREATE TABLE pace_sum (
  work TEXT NOT NULL,
  style TEXT NOT NULL,
  lots INTEGER NOT NULL,
  log REAL NOT NULL,
  log_squares REAL NOT NULL,
  PRIMARY KEY (work, style)
) STRICT, WITHOUT ROWID;
CREATE TABLE leak_sum (
  piece_id TEXT PRIMARY KEY,
  lots INTEGER NOT NULL,
  leaked INTEGER NOT NULL,
  expected REAL NOT NULL
) STRICT, WITHOUT ROWID;
CREATE TRIGGER lot_record_added AFTER INSERT ON lot_record BEGIN
  INSERT INTO pace_sum
  SELECT 'fill', new.fill_style, 1, ln(new.fill_min / new.fill_craft_min), pow(ln(new.fill_min / new.fill_craft_min), 2)
  WHERE new.fill_style IS NOT NULL
  ON CONFLICT (work, style) DO UPDATE SET
    lots = lots + 1, log = log + excluded.log, log_squares = log_squares + excluded.log_squares;
  INSERT INTO pace_sum
  SELECT 'close', new.close_style, 1, ln(new.close_min / new.close_craft_min),
    pow(ln(new.close_min / new.close_craft_min), 2)
  WHERE new.close_style IS NOT NULL
  ON CONFLICT (work, style) DO UPDATE SET
    lots = lots + 1, log = log + excluded.log, log_squares = log_squares + excluded.log_squares;
  INSERT INTO leak_sum
  SELECT new.piece_id, 1, new.leaked, new.pieces * new.craft_leak_share WHERE new.leaked IS NOT NULL
  ON CONFLICT (piece_id) DO UPDATE SET
    lots = lots + 1, leaked = leaked + excluded.leaked, expected = expected + excluded.expected;
END;
CREATE TRIGGER lot_record_taken AFTER DELETE ON lot_record BEGIN
  UPDATE pace_sum SET
    lots = lots - 1,
    log = log - ln(old.fill_min / old.fill_craft_min),
    log_squares = log_squares - pow(ln(old.fill_min / old.fill_craft_min), 2)
  WHERE work = 'fill' AND style = old.fill_style;
  UPDATE pace_sum SET
    lots = lots - 1,
    log = log - ln(old.close_min / old.close_craft_min),
    log_squares = log_squares - pow(ln(old.close_min / old.close_craft_min), 2)
  WHERE work = 'close' AND style = old.close_style;
  UPDATE leak_sum SET
    lots = lots - 1, leaked = leaked - old.leaked, expected = expected - old.pieces * old.craft_leak_share
  WHERE piece_id = old.piece_id AND old.leaked IS NOT NULL;
END;
CREATE TRIGGER lot_record_changed AFTER UPDATE ON lot_record BEGIN
  UPDATE pace_sum SET
    lots = lots - 1,
    log = log - ln(old.fill_min / old.fill_craft_min),
    log_squares = log_squares - pow(ln(old.fill_min / old.fill_craft_min), 2)
  WHERE work = 'fill' AND style = old.fill_style;
  UPDATE pace_sum SET
    lots = lots - 1,
    log = log - ln(old.close_min / old.close_craft_min),
    log_squares = log_squares - pow(ln(old.close_min / old.close_craft_min), 2)
  WHERE work = 'close' AND style = old.close_style;
  UPDATE leak_sum SET
    lots = lots - 1, leaked = leaked - old.leaked, expected = expected - old.pieces * old.craft_leak_share
  WHERE piece_id = old.piece_id AND old.leaked IS NOT NULL;
  INSERT INTO pace_sum
  SELECT 'fill', new.fill_style, 1, ln(new.fill_min / new.fill_craft_min), pow(ln(new.fill_min / new.fill_craft_min), 2)
  WHERE new.fill_style IS NOT NULL
  ON CONFLICT (work, style) DO UPDATE SET
    lots = lots + 1, log = log + excluded.log, log_squares = log_squares + excluded.log_squares;
  INSERT INTO pace_sum
  SELECT 'close', new.close_style, 1, ln(new.close_min / new.close_craft_min),
    pow(ln(new.close_min / new.close_craft_min), 2)
  WHERE new.close_style IS NOT NULL
  ON CONFLICT (work, style) DO UPDATE SET
    lots = lots + 1, log = log + excluded.log, log_squares = log_squares + excluded.log_squares;
  INSERT INTO leak_sum
  SELECT new.piece_id, 1, new.leaked, new.pieces * new.craft_leak_share WHERE new.leaked IS NOT NULL
  ON CONFLICT (piece_id) DO UPDATE SET
    lots = lots + 1, leaked = leaked + excluded.leaked, expected = expected + excluded.expected;
END;
INSERT INTO pace_sum
SELECT 'fill', fill_style, count(*), sum(ln(fill_min / fill_craft_min)), sum(pow(ln(fill_min / fill_craft_min), 2))
FROM lot_record WHERE fill_style IS NOT NULL GROUP BY fill_style;
INSERT INTO pace_sum
SELECT 'close', close_style, count(*), sum(ln(close_min / close_craft_min)),
  sum(pow(ln(close_min / close_craft_min), 2))
FROM lot_record WHERE close_style IS NOT NULL GROUP BY close_style;
INSERT INTO leak_sum
SELECT piece_id, count(*), sum(leaked), sum(pieces * craft_leak_share)
FROM lot_record WHERE leaked IS NOT NULL GROUP BY piece_id;

-- Groups of changes that were made, so that one sent twice counts once. The revision rises with each and never falls.
CREATE TABLE applied_group (
  revision INTEGER PRIMARY KEY AUTOINCREMENT,
  group_id TEXT NOT NULL UNIQUE,
  applied_at TEXT NOT NULL
) STRICT;
CREATE INDEX applied_group_at ON applied_group (applied_at);

-- Which file this is: revisions of one file say nothing about those of another. A restored copy is another file.
CREATE TABLE file_mark (
  epoch TEXT NOT NULL
) STRICT;
INSERT INTO file_mark VALUES (lower(hex(randomblob(8))));
