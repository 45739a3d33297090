-- Pot sheets with the version in force, plates, and costings kept whole.
CREATE TABLE IF NOT EXISTS recipe (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  vessel_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  hob_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  note VARCHAR(400) NULL,
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id, vessel_id) REFERENCES vessel (kitchen_id, id),
  FOREIGN KEY (kitchen_id, hob_id) REFERENCES hob (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS recipe_step (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  recipe_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position INT NOT NULL,
  verb VARCHAR(20) NOT NULL,
  body JSON NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  product_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  amount_typed VARCHAR(80) NULL,
  amount DECIMAL(18,6) NULL,
  amount_kind VARCHAR(12) NULL,
  amount_unit VARCHAR(24) NULL,
  PRIMARY KEY (kitchen_id, recipe_id, position),
  FOREIGN KEY (kitchen_id, recipe_id) REFERENCES recipe (kitchen_id, id),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id),
  FOREIGN KEY (kitchen_id, product_id) REFERENCES recipe (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS recipe_version (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  recipe_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  version INT UNSIGNED NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  body JSON NOT NULL,
  PRIMARY KEY (kitchen_id, recipe_id, version),
  FOREIGN KEY (kitchen_id, recipe_id) REFERENCES recipe (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS plate (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  menu_price DECIMAL(14,4) NULL CHECK (menu_price >= 0),
  tax_pct DECIMAL(9,5) NOT NULL,
  target_food_cost_pct DECIMAL(9,5) NULL,
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS plate_line (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  plate_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position INT NOT NULL,
  part ENUM('usable','stock trim','product') NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  product_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  amount_typed VARCHAR(80) NOT NULL,
  amount DECIMAL(18,6) NULL,
  amount_kind VARCHAR(12) NULL,
  amount_unit VARCHAR(24) NULL,
  PRIMARY KEY (kitchen_id, plate_id, position),
  FOREIGN KEY (kitchen_id, plate_id) REFERENCES plate (kitchen_id, id),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id),
  FOREIGN KEY (kitchen_id, product_id) REFERENCES recipe (kitchen_id, id),
  CHECK ((part = 'product' AND product_id IS NOT NULL) OR (part <> 'product' AND ingredient_id IS NOT NULL))
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS kept_costing (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kept_at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  model_version VARCHAR(20) NOT NULL,
  subject VARCHAR(80) NOT NULL,
  -- Results, prices, yields and recipe as they were, so that nothing rewrites them.
  body JSON NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;
