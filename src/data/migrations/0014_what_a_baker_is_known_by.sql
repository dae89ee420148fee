-- Every figure that a habit is learned from, one row each, read newest first: value is on the habit's own scale (the
-- logarithm of a share, degrees). Habits are named by kind and whose: "hands:fill:spoon". What hands take and blanks
-- gave follows the records by triggers; the rest is what runs say. Before this, sums were kept: they know no order.

DROP TRIGGER cut_record_added;
DROP TRIGGER cut_record_taken;
DROP TRIGGER cut_record_changed;
DROP TRIGGER lot_paces_added;
DROP TRIGGER lot_paces_taken;
DROP TRIGGER lot_paces_changed;
DROP TABLE yield_sum;
DROP TABLE pace_sum;

CREATE TABLE habit_figure (
  habit TEXT NOT NULL,
  date TEXT NOT NULL,
  -- The record or the job that it is of.
  source TEXT NOT NULL,
  value REAL NOT NULL,
  PRIMARY KEY (habit, date, source)
) STRICT, WITHOUT ROWID;

CREATE TRIGGER cut_figure_added AFTER INSERT ON cut_record BEGIN
  INSERT INTO habit_figure
  VALUES ('blanks:' || new.dough_id, new.date, new.id, ln((new.got + 0.5) / (new.planned + 0.5)));
END;
CREATE TRIGGER cut_figure_taken AFTER DELETE ON cut_record BEGIN
  DELETE FROM habit_figure WHERE habit = 'blanks:' || old.dough_id AND date = old.date AND source = old.id;
END;
CREATE TRIGGER cut_figure_changed AFTER UPDATE ON cut_record BEGIN
  DELETE FROM habit_figure WHERE habit = 'blanks:' || old.dough_id AND date = old.date AND source = old.id;
  INSERT INTO habit_figure
  VALUES ('blanks:' || new.dough_id, new.date, new.id, ln((new.got + 0.5) / (new.planned + 0.5)));
END;

CREATE TRIGGER lot_figures_added AFTER INSERT ON lot_record BEGIN
  INSERT INTO habit_figure
  SELECT 'hands:fill:' || new.fill_style, new.date, new.id, ln(new.fill_min / new.fill_craft_min)
  WHERE new.fill_style IS NOT NULL;
  INSERT INTO habit_figure
  SELECT 'hands:close:' || new.close_style, new.date, new.id, ln(new.close_min / new.close_craft_min)
  WHERE new.close_style IS NOT NULL;
END;
CREATE TRIGGER lot_figures_taken AFTER DELETE ON lot_record BEGIN
  DELETE FROM habit_figure
  WHERE habit IN ('hands:fill:' || old.fill_style, 'hands:close:' || old.close_style)
    AND date = old.date AND source = old.id;
END;
CREATE TRIGGER lot_figures_changed AFTER UPDATE ON lot_record BEGIN
  DELETE FROM habit_figure
  WHERE habit IN ('hands:fill:' || old.fill_style, 'hands:close:' || old.close_style)
    AND date = old.date AND source = old.id;
  INSERT INTO habit_figure
  SELECT 'hands:fill:' || new.fill_style, new.date, new.id, ln(new.fill_min / new.fill_craft_min)
  WHERE new.fill_style IS NOT NULL;
  INSERT INTO habit_figure
  SELECT 'hands:close:' || new.close_style, new.date, new.id, ln(new.close_min / new.close_craft_min)
  WHERE new.close_style IS NOT NULL;
END;

INSERT INTO habit_figure
SELECT 'blanks:' || dough_id, date, id, ln((got + 0.5) / (planned + 0.5)) FROM cut_record;
INSERT INTO habit_figure
SELECT 'hands:fill:' || fill_style, date, id, ln(fill_min / fill_craft_min)
FROM lot_record WHERE fill_style IS NOT NULL;
INSERT INTO habit_figure
SELECT 'hands:close:' || close_style, date, id, ln(close_min / close_craft_min)
FROM lot_record WHERE close_style IS NOT NULL;

-- What a run said of its lots, with what was expected of each when it was frozen; widened says by how much the habit's
-- own range was widened then. Written anew as the run's log is.
CREATE TABLE run_figure (
  date TEXT NOT NULL,
  habit TEXT NOT NULL,
  source TEXT NOT NULL,
  name TEXT NOT NULL,
  value REAL NOT NULL,
  mean REAL,
  low REAL,
  high REAL,
  widened REAL,
  PRIMARY KEY (date, habit, source)
) STRICT, WITHOUT ROWID;

-- A habit that the baker set: to a value of its own, or back to the craft's, from a day on.
CREATE TABLE habit_word (
  habit TEXT PRIMARY KEY,
  value REAL,
  since TEXT NOT NULL
) STRICT, WITHOUT ROWID;

-- A day that was run at a glance, as JSON: written anew with every event, so that the book of days opens no sheet.
CREATE TABLE run_summary (
  date TEXT PRIMARY KEY,
  summary TEXT NOT NULL
) STRICT, WITHOUT ROWID;
