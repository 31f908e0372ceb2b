CREATE TABLE shares (
  token TEXT PRIMARY KEY,
  publisher TEXT NOT NULL,
  copy TEXT NOT NULL,
  bytes INTEGER NOT NULL,
  version TEXT NOT NULL,
  begun INTEGER NOT NULL,
  edited INTEGER NOT NULL DEFAULT 0,
  published INTEGER NOT NULL
) STRICT;
CREATE INDEX shares_publisher ON shares (publisher);
CREATE TABLE changes (
  place INTEGER PRIMARY KEY,
  token TEXT NOT NULL REFERENCES shares (token) ON DELETE CASCADE,
  id TEXT NOT NULL,
  change TEXT NOT NULL,
  refused TEXT,
  UNIQUE (token, id)
) STRICT;
