/** One change of the database's tables: its name, as it is noted in the database, and its statements. */
export interface Migration {
  readonly name: string;
  readonly statements: readonly string[];
}

/**
 * Changes of the database's tables, oldest first. One that has shipped is never changed. They are written
 * out in SQL so that nothing else can change them, and may run on tables that are there already: an early
 * release could be killed between making a table and noting it.
 */
export const MIGRATIONS: readonly Migration[] = [
  {
    name: '001-shots',
    statements: [
      `CREATE TABLE IF NOT EXISTS shots (
        id VARCHAR(64) PRIMARY KEY,
        revision INTEGER NOT NULL,
        document TEXT NOT NULL,
        name VARCHAR(255) NOT NULL,
        film VARCHAR(255) NOT NULL,
        lengthFrames INTEGER NOT NULL,
        rate DOUBLE PRECISION NOT NULL,
        card TEXT NOT NULL,
        createdAt DATETIME NOT NULL,
        updatedAt DATETIME NOT NULL,
        removedAt DATETIME
      )`,
      'CREATE INDEX IF NOT EXISTS shots_removed_at_updated_at ON shots (removedAt, updatedAt)',
    ],
  },
  {
    name: '002-pictures',
    statements: [
      `CREATE TABLE IF NOT EXISTS pictures (
        sha256 VARCHAR(64) PRIMARY KEY,
        type VARCHAR(32) NOT NULL,
        width DOUBLE PRECISION NOT NULL,
        height DOUBLE PRECISION NOT NULL,
        bytes BLOB NOT NULL,
        createdAt DATETIME NOT NULL
      )`,
    ],
  },
  {
    name: '003-easings',
    statements: [
      `CREATE TABLE IF NOT EXISTS easings (
        id VARCHAR(64) PRIMARY KEY,
        name VARCHAR(255) NOT NULL,
        easing TEXT NOT NULL,
        createdAt DATETIME NOT NULL
      )`,
    ],
  },
  {
    name: '004-card-version',
    statements: ['ALTER TABLE shots ADD COLUMN cardVersion INTEGER NOT NULL DEFAULT 0'],
  },
  {
    name: '005-order',
    statements: ['ALTER TABLE shots ADD COLUMN rank INTEGER'],
  },
  {
    name: '006-sounds',
    statements: [
      `CREATE TABLE IF NOT EXISTS sounds (
        sha256 VARCHAR(64) PRIMARY KEY,
        type VARCHAR(32) NOT NULL,
        seconds DOUBLE PRECISION NOT NULL,
        bytes BLOB NOT NULL,
        createdAt DATETIME NOT NULL
      )`,
    ],
  },
  {
    name: '007-history',
    statements: [
      `CREATE TABLE IF NOT EXISTS revisions (
        shotId VARCHAR(64) NOT NULL REFERENCES shots (id) ON DELETE CASCADE,
        revision INTEGER NOT NULL,
        savedAt INTEGER NOT NULL,
        basedOn INTEGER,
        content BLOB NOT NULL,
        card BLOB NOT NULL,
        cardVersion INTEGER NOT NULL,
        changes TEXT,
        PRIMARY KEY (shotId, revision)
      )`,
      `CREATE TABLE IF NOT EXISTS revisionFiles (
        shotId VARCHAR(64) NOT NULL REFERENCES shots (id) ON DELETE CASCADE,
        sha256 VARCHAR(64) NOT NULL,
        PRIMARY KEY (shotId, sha256)
      )`,
      'CREATE INDEX IF NOT EXISTS revision_files_sha256 ON revisionFiles (sha256)',
    ],
  },
];
