-- A plate may be a size of another; putting it together takes hands; what it is put in is packaging.
ALTER TABLE plate ADD COLUMN IF NOT EXISTS follows_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL;
ALTER TABLE plate ADD COLUMN IF NOT EXISTS follows LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL CHECK (json_valid(follows));
ALTER TABLE plate ADD COLUMN IF NOT EXISTS hands_minutes DECIMAL(10,4) NULL CHECK (hands_minutes > 0);
ALTER TABLE plate ADD COLUMN IF NOT EXISTS hands_plates INT UNSIGNED NULL CHECK (hands_plates > 0);
ALTER TABLE plate ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS plate_follows (kitchen_id, follows_id) REFERENCES plate (kitchen_id, id);
ALTER TABLE plate_line ADD COLUMN IF NOT EXISTS packaging TINYINT(1) NOT NULL DEFAULT 0;
-- Trays of trial changes: they leave the book as it is until they are applied.
CREATE TABLE IF NOT EXISTS tray (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  changes LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(changes)),
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
