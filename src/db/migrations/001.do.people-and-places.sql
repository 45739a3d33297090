-- Whose everything is, who works there, and what they cook in. Every table carries kitchen_id in its keys.
CREATE TABLE IF NOT EXISTS kitchen (
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  currency CHAR(3) NOT NULL,
  locale VARCHAR(20) NOT NULL,
  zone VARCHAR(60) NOT NULL,
  decimal_mark CHAR(1) NOT NULL CHECK (decimal_mark IN ('.', ',')),
  trim_school ENUM('free','value','weight') NOT NULL,
  trim_set_value DECIMAL(14,4) NOT NULL CHECK (trim_set_value >= 0),
  price_basis JSON NOT NULL,
  reference_day DATE NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  -- Counts every write anywhere in the kitchen: what has been computed for a revision stays true for it.
  revision BIGINT UNSIGNED NOT NULL DEFAULT 1
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS person (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  role ENUM('manager','cook','reader') NOT NULL,
  password_hash VARCHAR(255) NULL,
  pin_hash VARCHAR(255) NULL,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  UNIQUE KEY person_name (kitchen_id, name),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS supplier (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  -- Where its price list is fetched, and where that list has its columns.
  price_list VARCHAR(300) NULL,
  list_columns JSON NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS vessel (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  shape ENUM('round','box') NOT NULL,
  base_cm DECIMAL(8,3) NULL,
  top_cm DECIMAL(8,3) NULL,
  length_cm DECIMAL(8,3) NULL,
  width_cm DECIMAL(8,3) NULL,
  height_cm DECIMAL(8,3) NOT NULL CHECK (height_cm > 0),
  max_fill_pct DECIMAL(6,3) NOT NULL CHECK (max_fill_pct > 0 AND max_fill_pct <= 100),
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id),
  CHECK ((shape = 'round' AND base_cm > 0 AND top_cm > 0) OR (shape = 'box' AND length_cm > 0 AND width_cm > 0))
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS hob (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  net_kw DECIMAL(8,3) NULL CHECK (net_kw > 0),
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS house_measure (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  amount_typed VARCHAR(80) NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;
