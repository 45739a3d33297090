-- What a batch names stands in its kitchen, and what an event is can be asked without reading its body.
ALTER TABLE batch
  ADD CONSTRAINT batch_recipe FOREIGN KEY IF NOT EXISTS (kitchen_id, recipe_id) REFERENCES recipe (kitchen_id, id),
  ADD CONSTRAINT batch_vessel FOREIGN KEY IF NOT EXISTS (kitchen_id, vessel_id) REFERENCES vessel (kitchen_id, id),
  ADD CONSTRAINT batch_hob FOREIGN KEY IF NOT EXISTS (kitchen_id, hob_id) REFERENCES hob (kitchen_id, id);

ALTER TABLE batch_event
  ADD COLUMN IF NOT EXISTS kind VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin AS (JSON_VALUE(body, '$.is')) PERSISTENT,
  ADD KEY IF NOT EXISTS of_kind (kitchen_id, kind, happened_at);
