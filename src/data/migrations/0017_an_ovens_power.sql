-- What an oven draws while it heats, so that a piece's heat can be told; 0 where nobody said.

ALTER TABLE oven ADD COLUMN power_kw REAL NOT NULL DEFAULT 0 CHECK (power_kw >= 0);
