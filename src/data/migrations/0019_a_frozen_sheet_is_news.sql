-- A day that is begun, or frozen anew, is news to every screen: its plan stands elsewhere from then on. Of more than
-- records, so a screen reads its day whole.
CREATE TRIGGER run_sheet_is_news AFTER INSERT ON run_sheet BEGIN
  INSERT INTO applied_group (group_id, applied_at)
  VALUES ('sheet ' || new.run_id || ' ' || new.edition, new.frozen_at);
END;
