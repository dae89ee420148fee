-- What lengths and masses are told in. Every column stays in mm and g; only texts follow.

ALTER TABLE kitchen ADD COLUMN length_unit TEXT NOT NULL DEFAULT 'mm' CHECK (length_unit IN ('mm', 'cm', 'inch'));
ALTER TABLE kitchen ADD COLUMN mass_unit TEXT NOT NULL DEFAULT 'gram' CHECK (mass_unit IN ('gram', 'ounce'));
