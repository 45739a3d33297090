-- Who changed what and when, with both sides. Append-only; written in the transaction that changes.
CREATE TABLE IF NOT EXISTS change_record (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  what VARCHAR(40) NOT NULL,
  subject_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  before_value JSON NULL,
  after_value JSON NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_subject (kitchen_id, subject_id, at),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id),
  FOREIGN KEY (kitchen_id, person_id) REFERENCES person (kitchen_id, id)
) ENGINE=InnoDB;
