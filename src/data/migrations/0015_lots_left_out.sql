-- Single figures that the baker left out of a habit's learning, with a word why: they stay in the log.

CREATE TABLE habit_left_out (
  habit TEXT NOT NULL,
  date TEXT NOT NULL,
  source TEXT NOT NULL,
  word TEXT NOT NULL,
  PRIMARY KEY (habit, date, source)
) STRICT, WITHOUT ROWID;
