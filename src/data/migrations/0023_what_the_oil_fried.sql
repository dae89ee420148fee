-- What each fryer's oil has fried since it was changed, as JSON. Loads counted before this file kept it stay unknown.
ALTER TABLE fryer ADD COLUMN fried TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(fried));

-- An own ingredient without a ticked allergen: nobody knows whether it has none or was never asked. It is asked now.
UPDATE ingredient SET allergens = 'null' WHERE allergens = '[]' AND id LIKE 'ingredient-%';

-- How many events of a run its log was made from: the log of the rest is made at the next event or start.
CREATE TABLE run_kept (
  run_id TEXT PRIMARY KEY REFERENCES run (id),
  events INTEGER NOT NULL CHECK (events >= 0)
) STRICT, WITHOUT ROWID;
INSERT INTO run_kept (run_id, events) SELECT run_id, count(*) FROM run_event GROUP BY run_id;
