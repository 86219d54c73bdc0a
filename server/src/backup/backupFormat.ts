import { z } from 'zod';

/** What lies in a backup: the database as it was, and all of it once more as open files. */
export const DATABASE_ENTRY = 'humble-pendulum.sqlite';
export const ABOUT_ENTRY = 'backup.json';
export const README_ENTRY = 'README.txt';

export const BACKUP_FORMAT = 'humble-pendulum-backup';
export const BACKUP_VERSION = 1;

export const aboutSchema = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(BACKUP_VERSION),
  madeAt: z.iso.datetime(),
  /** Of the database, so that a change on the way is seen. */
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});

export type About = z.infer<typeof aboutSchema>;

export const README = `A backup of Humble Pendulum.

humble-pendulum.sqlite   all of it, as the server keeps it: this is what is restored
shots/                   each shot as an open file; see docs/file-format.md of the application
pictures/, sounds/       what the shots show and play, named by the SHA-256 of their content
backup.json              when it was made, and the checksum of the database

To have it back: Backup on the list of shots, or npx humble-pendulum restore FILE.
`;

/** The name that a backup is saved under. */
export const backupName = (now: Date): string =>
  `humble-pendulum-${now.toISOString().slice(0, 16).replace(/[T:]/g, '-')}.zip`;
