-- How a plate is served: what goes on beyond what is meant, what guests take of what stands beside it, what is lost in service.
ALTER TABLE plate ADD COLUMN IF NOT EXISTS service VARCHAR(20) NULL;
ALTER TABLE plate ADD COLUMN IF NOT EXISTS service_loss_pct DECIMAL(9,5) NULL CHECK (service_loss_pct BETWEEN 0 AND 90);
ALTER TABLE plate_line ADD COLUMN IF NOT EXISTS overfill_pct DECIMAL(9,5) NULL CHECK (overfill_pct BETWEEN 0 AND 100);
ALTER TABLE plate_line ADD COLUMN IF NOT EXISTS taken_pct DECIMAL(9,5) NULL CHECK (taken_pct BETWEEN 0 AND 100);
