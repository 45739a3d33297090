-- What each revision of a kitchen changed, so that whoever has read the one before reads only that. Triggers write it down: no write
-- can forget to. A kitchen is loaded as a whole, and says so by its mark alone (@halfpot_loading).
ALTER TABLE kitchen ADD COLUMN IF NOT EXISTS mark CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '';

-- A revision is known by its number and its mark: a number can come again after a restore, a mark cannot.
CREATE TABLE IF NOT EXISTS kitchen_moved (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision BIGINT UNSIGNED NOT NULL,
  what ENUM('mark','ingredient','article','recipe','plate') NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (kitchen_id, revision, what, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB;
CREATE TRIGGER IF NOT EXISTS ingredient_moved_insert AFTER INSERT ON ingredient FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS ingredient_moved_update AFTER UPDATE ON ingredient FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS ingredient_yield_moved_insert AFTER INSERT ON ingredient_yield FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.ingredient_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS ingredient_yield_moved_update AFTER UPDATE ON ingredient_yield FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.ingredient_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS ingredient_yield_moved_delete AFTER DELETE ON ingredient_yield FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', OLD.ingredient_id FROM kitchen k WHERE k.id = OLD.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS cooked_figure_moved_insert AFTER INSERT ON cooked_figure FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.ingredient_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS cooked_figure_moved_update AFTER UPDATE ON cooked_figure FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.ingredient_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS cooked_figure_moved_delete AFTER DELETE ON cooked_figure FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', OLD.ingredient_id FROM kitchen k WHERE k.id = OLD.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS stock_count_moved_insert AFTER INSERT ON stock_count FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.ingredient_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS stock_count_moved_update AFTER UPDATE ON stock_count FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'ingredient', NEW.ingredient_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS supplier_article_moved_insert AFTER INSERT ON supplier_article FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS supplier_article_moved_update AFTER UPDATE ON supplier_article FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS pack_weighing_moved_insert AFTER INSERT ON pack_weighing FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.article_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS pack_weighing_moved_update AFTER UPDATE ON pack_weighing FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.article_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS pack_weighing_moved_delete AFTER DELETE ON pack_weighing FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', OLD.article_id FROM kitchen k WHERE k.id = OLD.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS price_quote_moved_insert AFTER INSERT ON price_quote FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.article_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS price_quote_moved_update AFTER UPDATE ON price_quote FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.article_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS purchase_line_moved_insert AFTER INSERT ON purchase_line FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', NEW.article_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL AND NEW.article_id IS NOT NULL;
CREATE TRIGGER IF NOT EXISTS recipe_moved_insert AFTER INSERT ON recipe FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'recipe', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS recipe_moved_update AFTER UPDATE ON recipe FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'recipe', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS recipe_step_moved_insert AFTER INSERT ON recipe_step FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'recipe', NEW.recipe_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS recipe_step_moved_update AFTER UPDATE ON recipe_step FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'recipe', NEW.recipe_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS recipe_step_moved_delete AFTER DELETE ON recipe_step FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'recipe', OLD.recipe_id FROM kitchen k WHERE k.id = OLD.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS plate_moved_insert AFTER INSERT ON plate FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'plate', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS plate_moved_update AFTER UPDATE ON plate FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'plate', NEW.id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS plate_line_moved_insert AFTER INSERT ON plate_line FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'plate', NEW.plate_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS plate_line_moved_update AFTER UPDATE ON plate_line FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'plate', NEW.plate_id FROM kitchen k WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL;
CREATE TRIGGER IF NOT EXISTS plate_line_moved_delete AFTER DELETE ON plate_line FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'plate', OLD.plate_id FROM kitchen k WHERE k.id = OLD.kitchen_id AND @halfpot_loading IS NULL;
