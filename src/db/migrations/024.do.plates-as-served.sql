-- How a plate is served: what goes on beyond what is meant, what guests take of what stands beside it, what is lost in service.
ALTER TABLE plate ADD COLUMN IF NOT EXISTS service VARCHAR(20) NULL;
ALTER TABLE plate ADD COLUMN IF NOT EXISTS service_loss_pct DECIMAL(9,5) NULL CHECK (service_loss_pct BETWEEN 0 AND 90);
ALTER TABLE plate_line ADD COLUMN IF NOT EXISTS overfill_pct DECIMAL(9,5) NULL CHECK (overfill_pct BETWEEN 0 AND 100);
ALTER TABLE plate_line ADD COLUMN IF NOT EXISTS taken_pct DECIMAL(9,5) NULL CHECK (taken_pct BETWEEN 0 AND 100);
-- Menus: plates that are sold together, and how many of each.
CREATE TABLE IF NOT EXISTS menu (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  mix_in VARCHAR(12) NOT NULL,
  position INT NOT NULL,
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
CREATE TABLE IF NOT EXISTS menu_plate (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  menu_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  plate_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position INT NOT NULL,
  sold DECIMAL(14,4) NULL CHECK (sold >= 0),
  PRIMARY KEY (kitchen_id, menu_id, plate_id),
  FOREIGN KEY (kitchen_id, menu_id) REFERENCES menu (kitchen_id, id),
  FOREIGN KEY (kitchen_id, plate_id) REFERENCES plate (kitchen_id, id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
