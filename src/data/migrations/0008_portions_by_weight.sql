-- Main filling in each piece, g, where the baker weighs it; null where the piece is filled as plump as it is set.
ALTER TABLE piece ADD COLUMN portion_g REAL CHECK (portion_g > 0);
