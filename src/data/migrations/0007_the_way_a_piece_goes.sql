-- How a piece goes from dough to ready: its steps in their order, in place of stages, chill, cooling and unmoulding.
CREATE TABLE piece_step (
  piece_id TEXT NOT NULL REFERENCES piece (id) ON DELETE CASCADE,
  position INTEGER NOT NULL,
  -- Its own within the piece.
  step_key TEXT NOT NULL,
  kind TEXT NOT NULL,
  filling_id TEXT,
  -- Something whole that it puts in or on: its name, how many, and what one weighs.
  thing TEXT,
  thing_count INTEGER CHECK (thing_count > 0),
  thing_each_g REAL CHECK (thing_each_g > 0),
  heat_c REAL,
  minutes REAL NOT NULL CHECK (minutes >= 0),
  hands_s REAL CHECK (hands_s >= 0),
  most_wait_min REAL CHECK (most_wait_min >= 0),
  note TEXT NOT NULL DEFAULT '',
  PRIMARY KEY (piece_id, position),
  UNIQUE (piece_id, step_key)
) STRICT;

-- Every piece gets the way that its figures meant. Slots stand far enough apart for what comes between them.
CREATE TEMP TABLE former_step (
  piece_id TEXT NOT NULL, slot INTEGER NOT NULL, kind TEXT NOT NULL,
  heat_c REAL, minutes REAL NOT NULL DEFAULT 0, most_wait_min REAL
);
CREATE TEMP TABLE former_piece AS
SELECT p.*,
  CASE WHEN p.heat_by = 'oil' THEN NULL
    ELSE (SELECT min(s.position) FROM piece_stage s WHERE s.piece_id = p.id AND s.act = 'fill') END AS filled_at,
  (SELECT max(s.position) FROM piece_stage s WHERE s.piece_id = p.id) AS last_stage,
  EXISTS (SELECT 1 FROM piece_extra e WHERE e.piece_id = p.id AND e.kind = 'sauce') AS pours,
  EXISTS (SELECT 1 FROM piece_extra e WHERE e.piece_id = p.id AND e.kind = 'inclusion') AS drops
FROM piece p;
ALTER TABLE former_piece ADD COLUMN fills_last INTEGER;
UPDATE former_piece SET fills_last = form = 'case' OR (filled_at IS NOT NULL AND filled_at = last_stage);

INSERT INTO former_step (piece_id, slot, kind) SELECT id, 100, 'roll' FROM former_piece;
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 110, 'cut' FROM former_piece;
INSERT INTO former_step (piece_id, slot, kind)
SELECT id, 120, CASE form WHEN 'wrapped' THEN 'prepare' WHEN 'case' THEN 'ring' WHEN 'lidded' THEN 'stick' ELSE 'line' END
FROM former_piece
WHERE form IN ('wrapped', 'case', 'lined', 'puck') OR (form = 'lidded' AND stick_length_mm IS NOT NULL);
-- Filled before it is closed, after its empty shell has cooled, or last of all.
INSERT INTO former_step (piece_id, slot, kind)
SELECT id, CASE WHEN fills_last THEN 5050 WHEN filled_at IS NOT NULL THEN 1080 + 100 * filled_at ELSE 210 END, 'fill'
FROM former_piece;
INSERT INTO former_step (piece_id, slot, kind)
SELECT id, CASE WHEN fills_last THEN 5040 WHEN filled_at IS NOT NULL THEN 1070 + 100 * filled_at ELSE 200 END, 'dropIn'
FROM former_piece WHERE drops;
INSERT INTO former_step (piece_id, slot, kind, minutes)
SELECT id, 1060 + 100 * filled_at, 'cool', 10 FROM former_piece WHERE filled_at IS NOT NULL AND NOT fills_last;

INSERT INTO former_step (piece_id, slot, kind)
SELECT id, 300,
  CASE form WHEN 'largeFold' THEN 'fold' WHEN 'lidded' THEN 'layTop' WHEN 'wrapped' THEN 'bringUp'
    WHEN 'gathered' THEN 'gather' WHEN 'pressed' THEN 'press' WHEN 'rosette' THEN 'laySlices' ELSE 'layShape' END
FROM former_piece
WHERE form IN ('largeFold', 'lidded', 'wrapped', 'gathered', 'pressed', 'rosette')
  OR (form = 'lined' AND topping = 'cutOut');
INSERT INTO former_step (piece_id, slot, kind)
SELECT id, 310, CASE form WHEN 'rosette' THEN 'rollUp' ELSE 'close' END FROM former_piece
WHERE form NOT IN ('puck', 'case', 'lined') OR (form = 'lined' AND topping = 'lid');
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 320, 'turnOver' FROM former_piece WHERE form = 'gathered';
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 340, 'trim' FROM former_piece WHERE form IN ('lined', 'pressed');
INSERT INTO former_step (piece_id, slot, kind)
SELECT id, 350, 'vent' FROM former_piece WHERE vent_kind <> 'none' AND vent_count > 0;
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 360, 'brush' FROM former_piece WHERE wash_kind <> 'none';
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 370, 'strew' FROM former_piece WHERE wash_sugar = 'before';
INSERT INTO former_step (piece_id, slot, kind, minutes)
SELECT id, 400, 'chill', chill_min FROM former_piece WHERE chill_min > 0;

-- A syrup is brought to the boil and poured straight before the heat: after closing and chilling, not before.
INSERT INTO former_step (piece_id, slot, kind, minutes) SELECT id, 500, 'warm', 5 FROM former_piece WHERE pours;
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 510, 'pourAround' FROM former_piece WHERE pours;
INSERT INTO former_step (piece_id, slot, kind, heat_c, minutes, most_wait_min)
SELECT p.id, 1000 + 100 * s.position, CASE p.heat_by WHEN 'oil' THEN 'fry' ELSE 'bake' END, s.oven_c, s.minutes,
  CASE WHEN p.pours AND s.position = 0 THEN 4 END
FROM former_piece p JOIN piece_stage s ON s.piece_id = p.id;
INSERT INTO former_step (piece_id, slot, kind)
SELECT p.id, 1050 + 100 * s.position, CASE s.act WHEN 'secondCoat' THEN 'coat' ELSE s.act END
FROM former_piece p JOIN piece_stage s ON s.piece_id = p.id
WHERE s.act NOT IN ('none', 'fill') AND s.position < p.last_stage AND p.heat_by = 'oven';

INSERT INTO former_step (piece_id, slot, kind, minutes)
SELECT id, 5000, 'cool', unmould_from_min FROM former_piece WHERE unmould_from_min > 0;
INSERT INTO former_step (piece_id, slot, kind, most_wait_min)
SELECT id, 5010, 'unmould', unmould_until_min FROM former_piece WHERE unmould_from_min IS NOT NULL;
INSERT INTO former_step (piece_id, slot, kind, minutes)
SELECT id, 5020, 'glaze', glaze_dry_min FROM former_piece WHERE glaze <> 'none';
INSERT INTO former_step (piece_id, slot, kind, minutes)
SELECT id, 5030, 'cool', cool_min - coalesce(unmould_from_min, 0) FROM former_piece
WHERE cool_min > coalesce(unmould_from_min, 0);
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 5060, 'dust' FROM former_piece WHERE wash_sugar = 'after';
INSERT INTO former_step (piece_id, slot, kind) SELECT id, 5070, 'setOut' FROM former_piece;

INSERT INTO piece_step (piece_id, position, step_key, kind, heat_c, minutes, most_wait_min)
SELECT piece_id, row_number() OVER of_piece - 1, 's' || row_number() OVER of_piece, kind, heat_c, minutes, most_wait_min
FROM former_step
WINDOW of_piece AS (PARTITION BY piece_id ORDER BY slot);
DROP TABLE former_step;
DROP TABLE former_piece;

DROP TABLE piece_stage;
ALTER TABLE piece DROP COLUMN heat_by;
ALTER TABLE piece DROP COLUMN unmould_from_min;
ALTER TABLE piece DROP COLUMN unmould_until_min;
ALTER TABLE piece DROP COLUMN glaze_dry_min;
ALTER TABLE piece DROP COLUMN chill_min;
ALTER TABLE piece DROP COLUMN cool_min;
