-- What has happened stays: only whoever restores a whole kitchen takes these triggers away, and puts them back.
CREATE TRIGGER IF NOT EXISTS change_record_no_update BEFORE UPDATE ON change_record
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'change_record is append-only';
CREATE TRIGGER IF NOT EXISTS change_record_no_delete BEFORE DELETE ON change_record
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'change_record is append-only';
CREATE TRIGGER IF NOT EXISTS stock_movement_no_update BEFORE UPDATE ON stock_movement
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'stock_movement is append-only';
CREATE TRIGGER IF NOT EXISTS stock_movement_no_delete BEFORE DELETE ON stock_movement
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'stock_movement is append-only';
CREATE TRIGGER IF NOT EXISTS recipe_version_no_update BEFORE UPDATE ON recipe_version
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'recipe_version is append-only';
CREATE TRIGGER IF NOT EXISTS recipe_version_no_delete BEFORE DELETE ON recipe_version
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'recipe_version is append-only';
