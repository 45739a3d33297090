-- What a vessel weighs empty, so that a pot can be weighed.
ALTER TABLE vessel ADD COLUMN IF NOT EXISTS empty_g DECIMAL(18,6) NULL CHECK (empty_g > 0);
-- What a new plate begins with, and whether cooks change recipes and prices in this house.
ALTER TABLE kitchen
  ADD COLUMN IF NOT EXISTS usual_tax_pct DECIMAL(9,5) NULL CHECK (usual_tax_pct >= 0 AND usual_tax_pct <= 100),
  ADD COLUMN IF NOT EXISTS usual_target_pct DECIMAL(9,5) NULL CHECK (usual_target_pct >= 0 AND usual_target_pct <= 100),
  ADD COLUMN IF NOT EXISTS cooks_may_change TINYINT NOT NULL DEFAULT 0;
-- A change that takes another one back names it. Earlier ones stay as they are.
ALTER TABLE change_record
  ADD COLUMN IF NOT EXISTS undoes CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD KEY IF NOT EXISTS by_undoes (kitchen_id, undoes),
  ADD KEY IF NOT EXISTS by_person (kitchen_id, person_id, at);
