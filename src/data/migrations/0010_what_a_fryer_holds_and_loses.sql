-- What warms the oil with its pan, and what it loses to the room: until now the usual figures for so much oil.
ALTER TABLE fryer ADD COLUMN oil_j_per_kg_k REAL NOT NULL DEFAULT 2300 CHECK (oil_j_per_kg_k > 0);
ALTER TABLE fryer ADD COLUMN loss_w_per_k REAL NOT NULL DEFAULT 3 CHECK (loss_w_per_k > 0);
UPDATE fryer SET loss_w_per_k = round(0.6 * oil_kg, 2);
