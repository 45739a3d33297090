-- A column that names a row refers to it; what is asked for by day has an index by day.
UPDATE ingredient SET bought_as = NULL
 WHERE bought_as IS NOT NULL AND bought_as NOT IN (SELECT id FROM supplier_article);
ALTER TABLE ingredient
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS ingredient_bought_as (kitchen_id, bought_as) REFERENCES supplier_article (kitchen_id, id);
ALTER TABLE price_quote
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS quote_of_purchase (kitchen_id, purchase_id) REFERENCES purchase (kitchen_id, id),
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS quote_of_import (kitchen_id, import_id) REFERENCES price_import (kitchen_id, id);
ALTER TABLE purchase_line
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS line_in_place_of (kitchen_id, in_place_of) REFERENCES supplier_article (kitchen_id, id);
ALTER TABLE lot
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS lot_of_recipe (kitchen_id, recipe_id) REFERENCES recipe (kitchen_id, id),
  ADD KEY IF NOT EXISTS by_ingredient (kitchen_id, ingredient_id, made_on);
ALTER TABLE stock_count
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS count_by (kitchen_id, person_id) REFERENCES person (kitchen_id, id);
ALTER TABLE price_import
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS import_by (kitchen_id, person_id) REFERENCES person (kitchen_id, id);
ALTER TABLE price_import_row
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS row_of_article (kitchen_id, article_id) REFERENCES supplier_article (kitchen_id, id),
  ADD CONSTRAINT FOREIGN KEY IF NOT EXISTS row_of_ingredient (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id);
ALTER TABLE stock_movement ADD KEY IF NOT EXISTS by_day (kitchen_id, effective_on, id);
ALTER TABLE change_record ADD KEY IF NOT EXISTS by_instant (kitchen_id, at, id);
ALTER TABLE recipe_version ADD KEY IF NOT EXISTS by_day (kitchen_id, recipe_id, effective_on, recorded_at);
ALTER TABLE yield_test ADD KEY IF NOT EXISTS by_day (kitchen_id, effective_on, id);
-- Suppliers begin their numbers anew each year.
ALTER TABLE purchase ADD COLUMN IF NOT EXISTS number_year SMALLINT AS (YEAR(effective_on)) PERSISTENT;
ALTER TABLE purchase
  ADD UNIQUE KEY IF NOT EXISTS invoice_once_a_year (kitchen_id, supplier_id, number, number_year),
  DROP INDEX IF EXISTS invoice_once;
-- Nothing was ever written to it: costings will be kept by what first needs them.
DROP TABLE IF EXISTS kept_costing;
