-- What one act wrote down goes together, whatever the clock says; what is listed is listed by id, which grows with time.
ALTER TABLE change_record
  ADD COLUMN IF NOT EXISTS act CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  ADD KEY IF NOT EXISTS by_act (kitchen_id, act),
  ADD KEY IF NOT EXISTS of_person (kitchen_id, person_id, id),
  ADD KEY IF NOT EXISTS of_subject (kitchen_id, subject_id, id),
  DROP KEY IF EXISTS by_person;
