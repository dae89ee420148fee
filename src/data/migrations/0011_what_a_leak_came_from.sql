-- What moved the craft's odds of a leak when a lot was logged, log-odds by cause as JSON, its keys in order; '' where
-- nobody wrote it down. Lots that are alike in piece, odds and causes are one row of hold_sum; leak_sum keeps the
-- lots without causes.

ALTER TABLE lot_record ADD COLUMN craft_causes TEXT NOT NULL DEFAULT '';

CREATE TABLE hold_sum (
  piece_id TEXT NOT NULL,
  craft_leak_share REAL NOT NULL,
  craft_causes TEXT NOT NULL,
  lots INTEGER NOT NULL,
  pieces INTEGER NOT NULL,
  leaked INTEGER NOT NULL,
  last_date TEXT NOT NULL,
  PRIMARY KEY (piece_id, craft_leak_share, craft_causes)
) STRICT, WITHOUT ROWID;
CREATE INDEX hold_sum_last ON hold_sum (last_date) WHERE lots > 0;

DROP TRIGGER lot_record_added;
DROP TRIGGER lot_record_taken;
DROP TRIGGER lot_record_changed;

CREATE TRIGGER lot_paces_added AFTER INSERT ON lot_record BEGIN
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
END;
CREATE TRIGGER lot_leaks_added AFTER INSERT ON lot_record WHEN new.leaked IS NOT NULL BEGIN
  INSERT INTO leak_sum
  SELECT new.piece_id, 1, new.leaked, new.pieces * new.craft_leak_share WHERE new.craft_causes = ''
  ON CONFLICT (piece_id) DO UPDATE SET
    lots = lots + 1, leaked = leaked + excluded.leaked, expected = expected + excluded.expected;
  INSERT INTO hold_sum
  SELECT new.piece_id, new.craft_leak_share, new.craft_causes, 1, new.pieces, new.leaked, new.date
  WHERE new.craft_causes <> ''
  ON CONFLICT (piece_id, craft_leak_share, craft_causes) DO UPDATE SET
    lots = lots + 1, pieces = pieces + excluded.pieces, leaked = leaked + excluded.leaked,
    last_date = max(last_date, excluded.last_date);
END;
CREATE TRIGGER lot_paces_taken AFTER DELETE ON lot_record BEGIN
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
END;
CREATE TRIGGER lot_leaks_taken AFTER DELETE ON lot_record WHEN old.leaked IS NOT NULL BEGIN
  UPDATE leak_sum SET
    lots = lots - 1, leaked = leaked - old.leaked, expected = expected - old.pieces * old.craft_leak_share
  WHERE piece_id = old.piece_id AND old.craft_causes = '';
  UPDATE hold_sum SET lots = lots - 1, pieces = pieces - old.pieces, leaked = leaked - old.leaked
  WHERE piece_id = old.piece_id AND craft_leak_share = old.craft_leak_share AND craft_causes = old.craft_causes;
END;
CREATE TRIGGER lot_paces_changed AFTER UPDATE ON lot_record BEGIN
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
END;
CREATE TRIGGER lot_leaks_lost AFTER UPDATE ON lot_record WHEN old.leaked IS NOT NULL BEGIN
  UPDATE leak_sum SET
    lots = lots - 1, leaked = leaked - old.leaked, expected = expected - old.pieces * old.craft_leak_share
  WHERE piece_id = old.piece_id AND old.craft_causes = '';
  UPDATE hold_sum SET lots = lots - 1, pieces = pieces - old.pieces, leaked = leaked - old.leaked
  WHERE piece_id = old.piece_id AND craft_leak_share = old.craft_leak_share AND craft_causes = old.craft_causes;
END;
CREATE TRIGGER lot_leaks_gained AFTER UPDATE ON lot_record WHEN new.leaked IS NOT NULL BEGIN
  INSERT INTO leak_sum
  SELECT new.piece_id, 1, new.leaked, new.pieces * new.craft_leak_share WHERE new.craft_causes = ''
  ON CONFLICT (piece_id) DO UPDATE SET
    lots = lots + 1, leaked = leaked + excluded.leaked, expected = expected + excluded.expected;
  INSERT INTO hold_sum
  SELECT new.piece_id, new.craft_leak_share, new.craft_causes, 1, new.pieces, new.leaked, new.date
  WHERE new.craft_causes <> ''
  ON CONFLICT (piece_id, craft_leak_share, craft_causes) DO UPDATE SET
    lots = lots + 1, pieces = pieces + excluded.pieces, leaked = leaked + excluded.leaked,
    last_date = max(last_date, excluded.last_date);
END;
