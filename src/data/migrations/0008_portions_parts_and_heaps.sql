-- Main filling in each piece, g, where the baker weighs it; null where the piece is filled as plump as it is set.
ALTER TABLE piece ADD COLUMN portion_g REAL CHECK (portion_g > 0);

-- Equal parts that a batch of dough is divided into; null for one for each sheet.
ALTER TABLE formula ADD COLUMN divided_count INTEGER CHECK (divided_count > 0);

-- A gathered round's filling is heaped flat in a guide ring so wide; null where it is a ball.
ALTER TABLE piece ADD COLUMN heap_mm REAL CHECK (heap_mm > 0);

-- What is seen of a piece comes from the first rolling (1), or from what is rolled again while the rest comes first (0).
ALTER TABLE piece ADD COLUMN seen_first INTEGER NOT NULL DEFAULT 1 CHECK (seen_first IN (0, 1));
