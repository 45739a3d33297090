-- What the bench weighs, what it has taught, who pays for what came off, and what was thrown away.
ALTER TABLE kitchen
  ADD COLUMN IF NOT EXISTS learning ENUM('ask','at once') NOT NULL DEFAULT 'ask',
  ADD COLUMN IF NOT EXISTS wage_per_hour DECIMAL(14,4) NULL CHECK (wage_per_hour >= 0),
  ADD COLUMN IF NOT EXISTS scale_address VARCHAR(300) NULL;

ALTER TABLE ingredient
  ADD COLUMN IF NOT EXISTS trim_taken_pct DECIMAL(9,5) NULL CHECK (trim_taken_pct >= 0 AND trim_taken_pct <= 100),
  -- A by-product is not bought: it comes off another ingredient.
  ADD COLUMN IF NOT EXISTS comes_off_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD COLUMN IF NOT EXISTS comes_off_value DECIMAL(14,4) NULL CHECK (comes_off_value >= 0),
  ADD COLUMN IF NOT EXISTS comes_off_sold TINYINT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS comes_off_taken_pct DECIMAL(9,5) NULL CHECK (comes_off_taken_pct >= 0 AND comes_off_taken_pct <= 100),
  ADD COLUMN IF NOT EXISTS learn_season VARCHAR(8) NULL,
  ADD COLUMN IF NOT EXISTS learn_supplier_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS ingredient_comes_off (kitchen_id, comes_off_id) REFERENCES ingredient (kitchen_id, id),
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS ingredient_learns_from (kitchen_id, learn_supplier_id) REFERENCES supplier (kitchen_id, id);

ALTER TABLE recipe
  ADD COLUMN IF NOT EXISTS batches_a_week DECIMAL(9,3) NOT NULL DEFAULT 1 CHECK (batches_a_week >= 0);

ALTER TABLE lot
  ADD COLUMN IF NOT EXISTS part ENUM('whole','stock trim') NOT NULL DEFAULT 'whole';

CREATE TABLE IF NOT EXISTS yield_by_product (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  yield_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position INT NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  pct DECIMAL(9,5) NOT NULL CHECK (pct >= 0 AND pct <= 100),
  PRIMARY KEY (kitchen_id, yield_id, position),
  FOREIGN KEY (kitchen_id, yield_id) REFERENCES ingredient_yield (kitchen_id, id),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS cooked_figure (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  figure VARCHAR(20) NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  -- % of the raw weight; of retention ml per kg raw.
  value DECIMAL(12,5) NOT NULL CHECK (value >= 0),
  low DECIMAL(12,5) NULL,
  high DECIMAL(12,5) NULL,
  source ENUM('estimate','measured') NOT NULL,
  basis VARCHAR(200) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY figure_in_time (kitchen_id, ingredient_id, effective_on, recorded_at),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS yield_test (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind VARCHAR(10) NOT NULL,
  state ENUM('open','kept') NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  purchase_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  supplier_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  season VARCHAR(8) NOT NULL,
  note VARCHAR(400) NULL,
  -- What was typed, and what it came to: null while it cannot be read.
  start_typed VARCHAR(80) NOT NULL,
  start_g DECIMAL(18,6) NULL,
  into_water_typed VARCHAR(80) NULL,
  time_typed VARCHAR(80) NULL,
  second_how VARCHAR(40) NULL,
  second_start_typed VARCHAR(80) NULL,
  second_start_g DECIMAL(18,6) NULL,
  second_time_typed VARCHAR(80) NULL,
  left_out_at DATETIME(3) NULL,
  left_out_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  left_out_why VARCHAR(200) NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_ingredient (kitchen_id, ingredient_id, effective_on),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id),
  FOREIGN KEY (kitchen_id, person_id) REFERENCES person (kitchen_id, id),
  FOREIGN KEY (kitchen_id, left_out_by) REFERENCES person (kitchen_id, id),
  FOREIGN KEY (kitchen_id, purchase_id) REFERENCES purchase (kitchen_id, id),
  FOREIGN KEY (kitchen_id, supplier_id) REFERENCES supplier (kitchen_id, id),
  -- A CHECK that comes to NULL passes: what is not there has to be asked for.
  CHECK (state = 'open' OR (start_g IS NOT NULL AND start_g > 0))
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS yield_test_part (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  test_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  pass TINYINT NOT NULL,
  position INT NOT NULL,
  name VARCHAR(80) NOT NULL,
  fate ENUM('usable','stock trim','by-product','waste') NOT NULL,
  product_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  amount_typed VARCHAR(80) NOT NULL,
  g DECIMAL(18,6) NULL CHECK (g >= 0),
  PRIMARY KEY (kitchen_id, test_id, pass, position),
  FOREIGN KEY (kitchen_id, test_id) REFERENCES yield_test (kitchen_id, id),
  FOREIGN KEY (kitchen_id, product_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;
