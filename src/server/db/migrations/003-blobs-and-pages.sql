-- Bytes by the SHA-256 of what they are, in parts of at most 1 MB.
CREATE TABLE blobs (
  hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  type VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  size INT UNSIGNED NOT NULL,
  -- All parts are there, and are what the name and the type say.
  complete TINYINT UNSIGNED NOT NULL DEFAULT 0,
  touched_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

CREATE TABLE blob_parts (
  hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  part SMALLINT UNSIGNED NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  PRIMARY KEY (hash, part),
  CONSTRAINT blob_parts_blob FOREIGN KEY (hash) REFERENCES blobs (hash) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- What a project's snapshots, log or parked edits name. Written again with every use, so that taking one away and using it at
-- the same time, on two nodes of a cluster too, are in each other's way.
CREATE TABLE blob_uses (
  project_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  hash CHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  used_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
  PRIMARY KEY (project_id, hash),
  KEY blob_uses_hash (hash),
  CONSTRAINT blob_uses_project FOREIGN KEY (project_id) REFERENCES projects (id) ON DELETE CASCADE,
  CONSTRAINT blob_uses_blob FOREIGN KEY (hash) REFERENCES blobs (hash)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- The key of the batch that made a project's revision, or '': what the next one goes on from.
ALTER TABLE projects ADD COLUMN head VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL DEFAULT '';

UPDATE projects SET head = COALESCE(
  (SELECT batch_key FROM edits WHERE edits.project_id = projects.id AND edits.revision = projects.revision), '');

-- A snapshot of version 2 is the outline; its pages lie beside it, each as of the revision that the outline names.
ALTER TABLE snapshots ADD COLUMN version TINYINT UNSIGNED NOT NULL DEFAULT 1;

CREATE TABLE page_snapshots (
  project_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  page_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  revision INT UNSIGNED NOT NULL,
  body LONGTEXT NOT NULL,
  PRIMARY KEY (project_id, page_id, revision),
  CONSTRAINT page_snapshots_project FOREIGN KEY (project_id) REFERENCES projects (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;

-- The picture of each project's first page as of a batch: drawn once, whichever server is asked.
CREATE TABLE covers (
  project_id VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
  revision INT UNSIGNED NOT NULL,
  head VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  png MEDIUMBLOB NOT NULL,
  CONSTRAINT covers_project FOREIGN KEY (project_id) REFERENCES projects (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
