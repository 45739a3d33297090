-- Ingredients, their yields in time, and what suppliers sell them as.
CREATE TABLE IF NOT EXISTS ingredient (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  role ENUM('liquid','piece') NOT NULL,
  -- Composition, pools, retention and weights as in the kitchen file.
  physics JSON NOT NULL,
  trim_school ENUM('free','value','weight') NULL,
  trim_set_value DECIMAL(14,4) NULL,
  reference_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  -- Another spelling of that one: all its history counts there; the row stays, so that it can be taken apart again.
  merged_into CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  price_basis JSON NULL,
  bought_as CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  part_pack ENUM('part','whole') NOT NULL DEFAULT 'part',
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id),
  FOREIGN KEY (kitchen_id, merged_into) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS ingredient_yield (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  usable_pct DECIMAL(9,5) NOT NULL CHECK (usable_pct > 0 AND usable_pct <= 100),
  stock_trim_pct DECIMAL(9,5) NOT NULL CHECK (stock_trim_pct >= 0 AND stock_trim_pct <= 100),
  source ENUM('estimate','measured') NOT NULL,
  low_pct DECIMAL(9,5) NULL,
  high_pct DECIMAL(9,5) NULL,
  basis VARCHAR(200) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY yield_in_time (kitchen_id, ingredient_id, effective_on, recorded_at),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id),
  CHECK (usable_pct + stock_trim_pct <= 100.0001)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS supplier_article (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  supplier_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  code VARCHAR(40) NULL,
  -- What was typed, what it came to, and how: kept together.
  pack_typed VARCHAR(80) NOT NULL,
  pack_amount DECIMAL(18,6) NOT NULL CHECK (pack_amount > 0),
  pack_kind ENUM('mass','volume','count') NOT NULL,
  pack_g DECIMAL(18,6) NOT NULL CHECK (pack_g > 0),
  pack_via VARCHAR(60) NOT NULL,
  -- What this supplier's label says, where it differs from the ingredient.
  label JSON NULL,
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id, supplier_id) REFERENCES supplier (kitchen_id, id),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS pack_weighing (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  article_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  held_typed VARCHAR(80) NOT NULL,
  held_g DECIMAL(18,6) NOT NULL CHECK (held_g > 0),
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id, article_id) REFERENCES supplier_article (kitchen_id, id)
) ENGINE=InnoDB;

-- Every dated price of a pack: quotes, and the lines of invoices (purchase_id), which change only by a correction.
CREATE TABLE IF NOT EXISTS price_quote (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  article_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  price_typed VARCHAR(80) NOT NULL,
  price DECIMAL(14,4) NOT NULL CHECK (price >= 0),
  purchase_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  import_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  -- A quote that came with an import which was undone.
  withdrawn_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_import (kitchen_id, import_id),
  KEY quote_in_time (kitchen_id, article_id, effective_on, recorded_at),
  FOREIGN KEY (kitchen_id, article_id) REFERENCES supplier_article (kitchen_id, id)
) ENGINE=InnoDB;
