-- A channel of a device that is heard, and what it stands for. An oven or a fryer that is taken away leaves its device
-- without a place: nothing reads it any more.

CREATE TABLE device (
  id TEXT PRIMARY KEY,
  source TEXT NOT NULL UNIQUE,
  used_as TEXT NOT NULL CHECK (used_as IN ('scale', 'dough', 'custard', 'oven', 'fryer', 'room')),
  machine_id TEXT,
  deck INTEGER CHECK (deck > 0),
  version INTEGER NOT NULL
) STRICT;
