-- What a house reads amounts in, which layers it looks at, the limits it cools within, and the days it is closed.
ALTER TABLE kitchen
  ADD COLUMN IF NOT EXISTS shown_in ENUM('metric','us','imperial') NOT NULL DEFAULT 'metric',
  ADD COLUMN IF NOT EXISTS house_rules LONGTEXT NULL CHECK (JSON_VALID(house_rules));
