-- Every write that was done, for 90 days: sent twice it happens once and answers the same.
CREATE TABLE IF NOT EXISTS command_done (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind VARCHAR(40) NOT NULL,
  body_sha256 CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  answer JSON NOT NULL,
  done_at DATETIME(3) NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_instant (kitchen_id, done_at),
  FOREIGN KEY (kitchen_id, person_id) REFERENCES person (kitchen_id, id)
) ENGINE=InnoDB;
