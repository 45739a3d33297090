-- Price lists as they came in: the file, how its columns were read, and what became of every row.
CREATE TABLE IF NOT EXISTS price_import (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  supplier_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  file_name VARCHAR(200) NOT NULL,
  file_sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  body LONGBLOB NOT NULL,
  started_at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  state ENUM('columns','preview','accepted','undone','dropped') NOT NULL,
  effective_on DATE NULL,
  list_columns JSON NULL,
  odd_share DECIMAL(6,4) NOT NULL,
  accepted_at DATETIME(3) NULL,
  undone_at DATETIME(3) NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  PRIMARY KEY (kitchen_id, id),
  KEY newest (kitchen_id, started_at),
  FOREIGN KEY (kitchen_id, supplier_id) REFERENCES supplier (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS price_import_row (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  import_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  line INT UNSIGNED NOT NULL,
  code VARCHAR(40) NULL,
  name VARCHAR(160) NULL,
  pack_typed VARCHAR(80) NULL,
  price_typed VARCHAR(80) NULL,
  price DECIMAL(14,4) NULL,
  verdict ENUM('same','moved','odd','new','ask','refused') NOT NULL,
  reason VARCHAR(400) NULL,
  article_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  price_before DECIMAL(14,4) NULL,
  pack_before VARCHAR(80) NULL,
  -- What the manager said of it: take it, leave it; null as long as nobody has said.
  wanted TINYINT NULL,
  -- For a row nobody could match: what a new article of it would be an article of.
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  PRIMARY KEY (kitchen_id, import_id, line),
  KEY by_verdict (kitchen_id, import_id, verdict, line),
  FOREIGN KEY (kitchen_id, import_id) REFERENCES price_import (kitchen_id, id)
) ENGINE=InnoDB;
