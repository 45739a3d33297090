-- A plate may carry a joint product of a pot, by the name it parts under.
ALTER TABLE plate_line
  ADD COLUMN IF NOT EXISTS product_part VARCHAR(120) NULL;
