-- Who is signed in and where, by a row that can be ended; which devices a manager has let in; and what the door refused.
CREATE TABLE IF NOT EXISTS device (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(60) NOT NULL,
  let_in_by CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  let_in_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS signed_in (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  device_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  by_pin TINYINT NOT NULL,
  began_at DATETIME(3) NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  address VARCHAR(45) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  browser VARCHAR(80) NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_person (kitchen_id, person_id, ended_at),
  KEY by_device (kitchen_id, device_id),
  FOREIGN KEY (kitchen_id, person_id) REFERENCES person (kitchen_id, id)
) ENGINE=InnoDB;

-- Bounded: the newest few hundred are kept. No foreign key: what was typed may have been nobody.
CREATE TABLE IF NOT EXISTS sign_in_refused (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  address VARCHAR(45) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  by_pin TINYINT NOT NULL,
  why ENUM('wrong','too soon','not let in','nobody') NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_instant (kitchen_id, at)
) ENGINE=InnoDB;

-- How often somebody was tried from somewhere, and when the next try is open: kept here, so that a restart forgives nothing.
CREATE TABLE IF NOT EXISTS sign_in_tries (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  what VARCHAR(90) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  wrong INT UNSIGNED NOT NULL,
  last_at DATETIME(3) NOT NULL,
  open_at DATETIME(3) NOT NULL,
  PRIMARY KEY (kitchen_id, what),
  KEY by_instant (kitchen_id, last_at)
) ENGINE=InnoDB;
