-- What the meter and the hobs say, for the layer of a cost that is energy; a hood pulls steam away.
ALTER TABLE kitchen
  ADD COLUMN IF NOT EXISTS electricity_per_kwh DECIMAL(14,4) NULL CHECK (electricity_per_kwh >= 0),
  ADD COLUMN IF NOT EXISTS gas_per_kwh DECIMAL(14,4) NULL CHECK (gas_per_kwh >= 0);

ALTER TABLE hob
  ADD COLUMN IF NOT EXISTS fuel ENUM('electricity','gas') NOT NULL DEFAULT 'electricity',
  ADD COLUMN IF NOT EXISTS draught TINYINT NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS efficiency_pct DECIMAL(9,5) NULL CHECK (efficiency_pct > 0 AND efficiency_pct <= 100);
