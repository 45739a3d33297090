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
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
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
  label_allergens JSON NULL,
  label_composition JSON NULL,
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id, supplier_id) REFERENCES supplier (kitchen_id, id),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS price_quote (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  article_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  price_typed VARCHAR(80) NOT NULL,
  price DECIMAL(14,4) NOT NULL CHECK (price >= 0),
  PRIMARY KEY (kitchen_id, id),
  KEY quote_in_time (kitchen_id, article_id, effective_on, recorded_at),
  FOREIGN KEY (kitchen_id, article_id) REFERENCES supplier_article (kitchen_id, id)
) ENGINE=InnoDB;
