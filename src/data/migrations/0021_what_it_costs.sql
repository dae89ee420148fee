-- What money is told in, what the house pays for hands and heat, and what each piece is sold for. A price stays when its
-- piece is archived: what was sold is still known.

ALTER TABLE kitchen ADD COLUMN currency TEXT CHECK (length(currency) = 3);

CREATE TABLE till (
  id TEXT PRIMARY KEY,
  hour_minor INTEGER NOT NULL CHECK (hour_minor >= 0),
  kwh_minor INTEGER NOT NULL CHECK (kwh_minor >= 0),
  hides_from_bench INTEGER NOT NULL CHECK (hides_from_bench IN (0, 1)),
  version INTEGER NOT NULL
) STRICT;

CREATE TABLE price (
  id TEXT PRIMARY KEY REFERENCES piece (id),
  price_minor INTEGER NOT NULL CHECK (price_minor >= 0),
  version INTEGER NOT NULL
) STRICT;
