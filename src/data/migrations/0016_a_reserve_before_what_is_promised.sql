-- A day that is planned to be ready nine times in ten, not just as likely as not.

ALTER TABLE day ADD COLUMN keeps_reserve INTEGER NOT NULL DEFAULT 0 CHECK (keeps_reserve IN (0, 1));
