-- Who made a batch (a tab of a browser) and when by their clock; and what its edits are stored as: 1 before this migration.
ALTER TABLE edits
  ADD COLUMN author VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '',
  ADD COLUMN made_at DATETIME(3) NULL,
  ADD COLUMN version TINYINT UNSIGNED NOT NULL DEFAULT 1;

-- Edits that did not fit any more when they arrived: kept until their owner puts them back or dismisses them. What was
-- dismissed stays as a mark, so that a browser that was away does not bring it again.
CREATE TABLE parked (
  project_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  body LONGTEXT NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  dismissed_at DATETIME(3) NULL,
  PRIMARY KEY (project_id, id),
  CONSTRAINT parked_project FOREIGN KEY (project_id) REFERENCES projects (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
