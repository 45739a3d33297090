-- Somebody's name and role have a version like everything that two managers may change at a time.
ALTER TABLE person ADD COLUMN IF NOT EXISTS version INT UNSIGNED NOT NULL DEFAULT 1;
