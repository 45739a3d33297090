-- Steps, plate lines and invoice lines have ids of their own, kept through edits and moves: notes, ticks and variants stand on them.
ALTER TABLE recipe_step
  ADD COLUMN IF NOT EXISTS id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER kitchen_id,
  ADD KEY IF NOT EXISTS in_order (kitchen_id, recipe_id, position);
UPDATE recipe_step SET id = LOWER(CONCAT(
  SUBSTR(LPAD(HEX(FLOOR(UNIX_TIMESTAMP(NOW(3)) * 1000)), 12, '0'), 1, 8), '-',
  SUBSTR(LPAD(HEX(FLOOR(UNIX_TIMESTAMP(NOW(3)) * 1000)), 12, '0'), 9, 4), '-7',
  SUBSTR(MD5(RAND()), 1, 3), '-', ELT(1 + FLOOR(RAND() * 4), '8', '9', 'a', 'b'),
  SUBSTR(MD5(RAND()), 1, 3), '-', SUBSTR(MD5(RAND()), 1, 12)))
 WHERE id IS NULL;
ALTER TABLE recipe_step
  MODIFY id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (kitchen_id, id);
ALTER TABLE plate_line
  ADD COLUMN IF NOT EXISTS id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER kitchen_id,
  ADD KEY IF NOT EXISTS in_order (kitchen_id, plate_id, position);
UPDATE plate_line SET id = LOWER(CONCAT(
  SUBSTR(LPAD(HEX(FLOOR(UNIX_TIMESTAMP(NOW(3)) * 1000)), 12, '0'), 1, 8), '-',
  SUBSTR(LPAD(HEX(FLOOR(UNIX_TIMESTAMP(NOW(3)) * 1000)), 12, '0'), 9, 4), '-7',
  SUBSTR(MD5(RAND()), 1, 3), '-', ELT(1 + FLOOR(RAND() * 4), '8', '9', 'a', 'b'),
  SUBSTR(MD5(RAND()), 1, 3), '-', SUBSTR(MD5(RAND()), 1, 12)))
 WHERE id IS NULL;
ALTER TABLE plate_line
  MODIFY id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (kitchen_id, id);
ALTER TABLE purchase_line
  ADD COLUMN IF NOT EXISTS id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL AFTER kitchen_id,
  ADD KEY IF NOT EXISTS in_order (kitchen_id, purchase_id, position);
UPDATE purchase_line SET id = LOWER(CONCAT(
  SUBSTR(LPAD(HEX(FLOOR(UNIX_TIMESTAMP(NOW(3)) * 1000)), 12, '0'), 1, 8), '-',
  SUBSTR(LPAD(HEX(FLOOR(UNIX_TIMESTAMP(NOW(3)) * 1000)), 12, '0'), 9, 4), '-7',
  SUBSTR(MD5(RAND()), 1, 3), '-', ELT(1 + FLOOR(RAND() * 4), '8', '9', 'a', 'b'),
  SUBSTR(MD5(RAND()), 1, 3), '-', SUBSTR(MD5(RAND()), 1, 12)))
 WHERE id IS NULL;
ALTER TABLE purchase_line
  MODIFY id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (kitchen_id, id);
