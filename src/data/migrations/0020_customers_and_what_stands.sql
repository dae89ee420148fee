-- Who orders, what stands for them on certain days of the week, and what has been handed over. A name that was given on
-- two days or more is a customer's; a name given once may be a passer-by's, and stays a word on its order.

CREATE TABLE customer (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  contact TEXT NOT NULL,
  usual_min INTEGER CHECK (usual_min BETWEEN 0 AND 1439),
  is_archived INTEGER NOT NULL DEFAULT 0 CHECK (is_archived IN (0, 1)),
  version INTEGER NOT NULL
) STRICT;
CREATE UNIQUE INDEX customer_by_name ON customer (lower(name)) WHERE is_archived = 0;

CREATE TABLE standing_order (
  id TEXT PRIMARY KEY,
  customer_id TEXT NOT NULL REFERENCES customer (id),
  piece_id TEXT NOT NULL REFERENCES piece (id),
  count INTEGER NOT NULL CHECK (count > 0),
  -- 0: none on a holiday; null: a holiday is a day like any other.
  holiday_count INTEGER CHECK (holiday_count >= 0),
  due_min INTEGER NOT NULL CHECK (due_min BETWEEN 0 AND 1439),
  -- Seven letters, Monday first: x where it stands.
  weekdays TEXT NOT NULL CHECK (length(weekdays) = 7 AND weekdays GLOB '*x*'),
  version INTEGER NOT NULL
) STRICT;
CREATE INDEX standing_order_by_piece ON standing_order (piece_id);

ALTER TABLE day_order ADD COLUMN customer_id TEXT REFERENCES customer (id);
ALTER TABLE day_order ADD COLUMN standing_id TEXT;
ALTER TABLE day_order ADD COLUMN handed_min INTEGER CHECK (handed_min BETWEEN 0 AND 1439);

INSERT INTO customer (id, name, contact, version)
SELECT 'customer-' || row_number() OVER (ORDER BY min(rowid)), trim(min(customer)), '', 1
FROM day_order WHERE trim(customer) <> ''
GROUP BY lower(trim(customer)) HAVING count(DISTINCT day_id) > 1;

UPDATE day_order SET customer_id = (
  SELECT id FROM customer WHERE lower(customer.name) = lower(trim(day_order.customer))
);
