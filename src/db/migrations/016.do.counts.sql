-- A count is of the thing as bought. What stood on a plate before keeps its meaning, marked, until a person takes the new one.
ALTER TABLE plate_line ADD COLUMN IF NOT EXISTS counted VARCHAR(10) NULL AFTER product_part;
UPDATE plate_line SET counted = 'trimmed' WHERE counted IS NULL AND ingredient_id IS NOT NULL AND part = 'usable' AND amount_kind = 'count';
