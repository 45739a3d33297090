-- Invoices as they came, and every movement of stock, append-only.
CREATE TABLE IF NOT EXISTS purchase (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  supplier_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  kind ENUM('invoice','credit note') NOT NULL DEFAULT 'invoice',
  corrects_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  number VARCHAR(60) NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  UNIQUE KEY invoice_once (kitchen_id, supplier_id, number),
  KEY in_time (kitchen_id, effective_on, id),
  FOREIGN KEY (kitchen_id, corrects_id) REFERENCES purchase (kitchen_id, id),
  FOREIGN KEY (kitchen_id, supplier_id) REFERENCES supplier (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS purchase_line (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  purchase_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  position INT NOT NULL,
  kind ENUM('goods','deposit','tax','delivery','discount') NOT NULL,
  article_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  packs DECIMAL(18,6) NULL,
  pack_price DECIMAL(14,4) NULL,
  delivered_typed VARCHAR(80) NULL,
  rejected_typed VARCHAR(80) NULL,
  in_place_of CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  -- What it came to: g that were kept (below 0 for goods that went back), and money net of tax.
  accepted_g DECIMAL(18,6) NULL,
  money DECIMAL(14,4) NULL,
  amount DECIMAL(14,4) NULL,
  note VARCHAR(200) NULL,
  PRIMARY KEY (kitchen_id, purchase_id, position),
  FOREIGN KEY (kitchen_id, purchase_id) REFERENCES purchase (kitchen_id, id),
  FOREIGN KEY (kitchen_id, article_id) REFERENCES supplier_article (kitchen_id, id),
  CHECK ((kind = 'goods' AND article_id IS NOT NULL AND packs > 0 AND pack_price >= 0) OR (kind <> 'goods' AND amount >= 0))
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS lot (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  recipe_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  made_on DATE NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS lot_source (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  lot_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  source_lot_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  PRIMARY KEY (kitchen_id, lot_id, source_lot_id),
  KEY forward (kitchen_id, source_lot_id),
  FOREIGN KEY (kitchen_id, lot_id) REFERENCES lot (kitchen_id, id),
  FOREIGN KEY (kitchen_id, source_lot_id) REFERENCES lot (kitchen_id, id)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS stock_movement (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  lot_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  kind ENUM('receipt','use','produced','waste','staff meal','transfer','return','count correction') NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  -- Signed: in is positive, out negative.
  g DECIMAL(18,6) NOT NULL,
  typed VARCHAR(80) NOT NULL,
  via VARCHAR(60) NOT NULL,
  reason VARCHAR(200) NULL,
  purchase_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_lot (kitchen_id, lot_id, recorded_at),
  FOREIGN KEY (kitchen_id, lot_id) REFERENCES lot (kitchen_id, id),
  FOREIGN KEY (kitchen_id, person_id) REFERENCES person (kitchen_id, id),
  FOREIGN KEY (kitchen_id, purchase_id) REFERENCES purchase (kitchen_id, id),
  CHECK (kind <> 'waste' OR reason IS NOT NULL)
) ENGINE=InnoDB;

CREATE TABLE IF NOT EXISTS stock_count (
  kitchen_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  ingredient_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  effective_on DATE NOT NULL,
  recorded_at DATETIME(3) NOT NULL,
  person_id CHAR(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
  typed VARCHAR(80) NOT NULL,
  g DECIMAL(18,6) NOT NULL CHECK (g >= 0),
  PRIMARY KEY (kitchen_id, id),
  KEY count_in_time (kitchen_id, ingredient_id, effective_on, recorded_at),
  FOREIGN KEY (kitchen_id, ingredient_id) REFERENCES ingredient (kitchen_id, id)
) ENGINE=InnoDB;
