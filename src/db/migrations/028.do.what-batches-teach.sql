-- What was foretold of a batch before it began, and what batches have taught of a vessel, once accepted.
ALTER TABLE batch
  ADD COLUMN IF NOT EXISTS foretold LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL CHECK (json_valid(foretold));

ALTER TABLE vessel
  ADD COLUMN IF NOT EXISTS boils LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL CHECK (json_valid(boils));
