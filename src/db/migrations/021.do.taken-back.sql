-- What was entered wrong is taken back and stays, with the instant: what was known before it still counts it. A number is free again.
ALTER TABLE purchase
  ADD COLUMN IF NOT EXISTS withdrawn_at DATETIME(3) NULL,
  ADD COLUMN IF NOT EXISTS stands TINYINT AS (IF(withdrawn_at IS NULL, 1, NULL)) PERSISTENT;
ALTER TABLE purchase
  ADD UNIQUE KEY IF NOT EXISTS invoice_stands_once_a_year (kitchen_id, supplier_id, number, number_year, stands),
  DROP INDEX IF EXISTS invoice_once_a_year;
ALTER TABLE stock_count ADD COLUMN IF NOT EXISTS withdrawn_at DATETIME(3) NULL;
ALTER TABLE pack_weighing ADD COLUMN IF NOT EXISTS withdrawn_at DATETIME(3) NULL;
-- Stock is only ever moved: what is taken back is moved the other way, and names what it turns round.
ALTER TABLE stock_movement
  MODIFY kind ENUM('receipt','use','produced','waste','staff meal','transfer','return','count correction','taken back') NOT NULL,
  ADD COLUMN IF NOT EXISTS takes_back CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD KEY IF NOT EXISTS taken_back (kitchen_id, takes_back);
CREATE TRIGGER IF NOT EXISTS purchase_moved_update AFTER UPDATE ON purchase FOR EACH ROW
  INSERT IGNORE INTO kitchen_moved (kitchen_id, revision, what, id)
  SELECT k.id, k.revision + 1, 'article', l.article_id FROM kitchen k JOIN purchase_line l ON l.kitchen_id = k.id AND l.purchase_id = NEW.id
   WHERE k.id = NEW.kitchen_id AND @halfpot_loading IS NULL AND l.article_id IS NOT NULL;
