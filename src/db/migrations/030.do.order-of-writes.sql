-- Every write of a kitchen takes the next number by updating the kitchen's own row in its transaction. The change log and undo are
-- ordered by it: a clock can be set back, and two machines never agree on one. Rows from before have 0 and come first.
ALTER TABLE kitchen ADD COLUMN IF NOT EXISTS seq BIGINT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE change_record
  ADD COLUMN IF NOT EXISTS seq BIGINT UNSIGNED NOT NULL DEFAULT 0,
  ADD KEY IF NOT EXISTS in_order (kitchen_id, seq, id),
  ADD KEY IF NOT EXISTS of_subject_in_order (kitchen_id, subject_id, seq, id);

-- Work that one process or writer does at a time. It expires by itself: its holder may have died. `depends_on` lists the ids that
-- the work depends on (JSON); NULL where that is not known, and anything may be among them.
CREATE TABLE IF NOT EXISTS lease (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  holder CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  until_at DATETIME(3) NOT NULL,
  depends_on LONGTEXT NULL,
  PRIMARY KEY (kitchen_id, name),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;

-- A write is repeated only where something has changed that it depends on: what else changed has to be written down as well.
ALTER TABLE kitchen_moved MODIFY COLUMN what VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL;
CREATE TRIGGER IF NOT EXISTS kitchen_moved_update AFTER UPDATE ON kitchen FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT NEW.id, NEW.revision + 1, 'house', NEW.id FROM DUAL
   WHERE NEW.seq = OLD.seq AND NEW.revision = OLD.revision AND NEW.mark = OLD.mark AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS vessel_moved_insert AFTER INSERT ON vessel FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'house', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS vessel_moved_update AFTER UPDATE ON vessel FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'house', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS hob_moved_insert AFTER INSERT ON hob FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'house', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS hob_moved_update AFTER UPDATE ON hob FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'house', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS house_measure_moved_insert AFTER INSERT ON house_measure FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'house', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS house_measure_moved_update AFTER UPDATE ON house_measure FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'house', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
