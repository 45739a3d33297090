-- Minutes of hands of the kitchen's own; the temperature a sauce is served at.
ALTER TABLE kitchen ADD COLUMN IF NOT EXISTS hands LONGTEXT NULL;
ALTER TABLE recipe ADD COLUMN IF NOT EXISTS serve_celsius DECIMAL(4,1) NULL AFTER note;

-- A costing that somebody kept: what it came to, of which prices, yields, recipe and model. Nothing writes it over.
CREATE TABLE IF NOT EXISTS kept_costing (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  what ENUM('product','plate') NOT NULL,
  subject_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  for_day DATE NOT NULL,
  kept_at DATETIME(3) NOT NULL,
  kept_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  model INT UNSIGNED NOT NULL,
  body LONGTEXT NOT NULL,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_subject (kitchen_id, subject_id, kept_at),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;
CREATE TRIGGER IF NOT EXISTS kept_costing_stays BEFORE UPDATE ON kept_costing FOR EACH ROW
  IF NOT (NEW.body <=> OLD.body AND NEW.name <=> OLD.name AND NEW.for_day <=> OLD.for_day AND NEW.model <=> OLD.model AND NEW.subject_id <=> OLD.subject_id) THEN
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a kept costing is not written over';
  END IF;

-- What everything cost when it was last worked out, and by which model: beside it an update of the model shows what it moved.
CREATE TABLE IF NOT EXISTS costs_last (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  model INT UNSIGNED NOT NULL,
  revision BIGINT UNSIGNED NOT NULL,
  mark CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  for_day DATE NOT NULL,
  body LONGTEXT NOT NULL,
  PRIMARY KEY (kitchen_id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;
CREATE TABLE IF NOT EXISTS model_move (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  from_model INT UNSIGNED NOT NULL,
  to_model INT UNSIGNED NOT NULL,
  found_at DATETIME(3) NOT NULL,
  for_day DATE NOT NULL,
  exact TINYINT UNSIGNED NOT NULL,
  body LONGTEXT NOT NULL,
  seen_at DATETIME(3) NULL,
  seen_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;
