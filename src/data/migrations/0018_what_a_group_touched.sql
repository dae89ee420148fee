-- Which records a group of changes touched, as a JSON list of [kind, id]: what another screen has to be told. Null where
-- more than records changed, or a group was written before this was kept: then a screen reads its day whole.
ALTER TABLE applied_group ADD COLUMN touched TEXT;
