-- Batches as they were really cooked. What happened to one is only ever added; what was told wrongly is withdrawn with its instant.
CREATE TABLE IF NOT EXISTS batch (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  recipe_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  name VARCHAR(120) NOT NULL,
  vessel_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  hob_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  started_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  steps LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(steps)),
  version INT UNSIGNED NOT NULL DEFAULT 1,
  archived_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY running (kitchen_id, archived_at, ended_at, started_at),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS batch_event (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  batch_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  happened_at DATETIME(3) NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  body LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(body)),
  withdrawn_at DATETIME(3) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_batch (kitchen_id, batch_id, happened_at),
  FOREIGN KEY (kitchen_id, batch_id) REFERENCES batch (kitchen_id, id)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
