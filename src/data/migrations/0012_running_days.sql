-- A day that is run: its plan frozen, each time it is frozen anew as another edition, and everything that happened.
-- What happened is only ever added to.

CREATE TABLE run (
  id TEXT PRIMARY KEY,
  day_id TEXT NOT NULL REFERENCES day (id),
  date TEXT NOT NULL
) STRICT;
CREATE INDEX run_by_date ON run (date);
CREATE INDEX run_by_day ON run (day_id);

CREATE TABLE run_sheet (
  run_id TEXT NOT NULL REFERENCES run (id),
  edition INTEGER NOT NULL,
  -- The sheet as JSON, deflated: self-contained.
  sheet BLOB NOT NULL,
  frozen_at TEXT NOT NULL,
  PRIMARY KEY (run_id, edition)
) STRICT, WITHOUT ROWID;

CREATE TABLE run_event (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  run_id TEXT NOT NULL REFERENCES run (id),
  kind TEXT NOT NULL,
  at_min REAL NOT NULL,
  person INTEGER NOT NULL,
  device_id TEXT NOT NULL,
  -- What its kind has beside, as JSON.
  body TEXT NOT NULL,
  taken_at TEXT NOT NULL
) STRICT;
CREATE INDEX run_event_of ON run_event (run_id, seq);

CREATE TRIGGER run_event_stays BEFORE UPDATE ON run_event BEGIN
  SELECT RAISE(ABORT, 'what happened is not changed');
END;
CREATE TRIGGER run_event_is_kept BEFORE DELETE ON run_event BEGIN
  SELECT RAISE(ABORT, 'what happened is not deleted');
END;
