-- Where a sheet can be done in more than one way: its choices, and which way the house takes. Versions that people have named.
ALTER TABLE recipe ADD COLUMN IF NOT EXISTS choices LONGTEXT NULL CHECK (JSON_VALID(choices));
CREATE TABLE IF NOT EXISTS version_name (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  recipe_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  version INT UNSIGNED NOT NULL,
  name VARCHAR(80) NULL,
  named_at DATETIME(3) NOT NULL,
  named_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  PRIMARY KEY (kitchen_id, recipe_id, version),
  FOREIGN KEY (kitchen_id, recipe_id, version) REFERENCES recipe_version (kitchen_id, recipe_id, version)
) ENGINE=InnoDB;
