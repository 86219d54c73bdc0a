import { z } from 'zod';
import { backdropSchema } from '../model/backdropSchema';
import { MAX_NAME_LENGTH, MAX_SHOTS_OF_FILM } from '../model/limits';
import { easingSchema, type Shot } from '../model/schema';
import { standInNames } from '../model/names';
import { soundSchema } from '../model/soundSchema';
import { API, type EndpointName, ROUTES } from './routes';
import { lineSchema } from '../model/plainText';

export { API };

/**
 * What application and server say to each other, stated once: the server reads its requests by it, the
 * application takes its types and addresses from it, and tests check the answers and docs/http-api.md against it.
 */

/** The most that a request with a shot may weigh: one of 20,000 frames with a mark on each weighs a quarter. */
export const MAX_SHOT_BYTES = 8 * 1024 * 1024;
/** The most that a file may weigh that is imported as a shot: written out for reading, a shot weighs twice as much. */
export const MAX_IMPORT_BYTES = 4 * MAX_SHOT_BYTES;
/** So many shots of the bin are listed, those that were removed last. */
export const MAX_REMOVED_LISTED = 200;
/** The most easings that are kept. */
export const MAX_EASINGS = 500;

const id = z.string().regex(/^[\w-]{1,64}$/);
const ofShot = z.object({ id });
const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
const revision = z.number().int().min(1);

const cardSchema = z.object({
  width: z.number(),
  height: z.number(),
  backdrop: z
    .object({
      sha256,
      x: z.number(),
      y: z.number(),
      width: z.number(),
      height: z.number(),
      turnDeg: z.number(),
      strength: z.number(),
    })
    .nullable(),
  arcs: z.array(z.string()),
  ticks: z.string(),
  ghosts: z.array(
    z.object({
      look: z.union([z.enum(standInNames), z.number().int()]),
      placement: z.array(z.number()).length(6),
      strength: z.number(),
      opacity: z.number().optional(),
    }),
  ),
  outlines: z.array(z.string()),
});

const summary = z.object({
  id,
  revision,
  name: z.string(),
  film: z.string(),
  lengthFrames: z.number(),
  rate: z.number(),
  updatedAt: z.string(),
  rank: z.number().nullable(),
  card: cardSchema,
  /** Why the shot cannot be opened; null when nothing is known to be wrong with it. */
  damage: z.object({ code: z.string(), sentence: z.string() }).nullable(),
});

const removed = summary
  .pick({ id: true, name: true, film: true, lengthFrames: true, rate: true, card: true })
  .extend({ removedAt: z.string(), goneAt: z.string() });

/**
 * A shot within a request or an answer. Here only that it is there: `openShot` reads one that comes from outside,
 * which may be of an older version, and what the server stores was checked by it.
 */
const shot = z.custom<Shot>((value) => typeof value === 'object' && value !== null);

const saved = z.object({ id, revision, updatedAt: z.string() });
const stored = saved.extend({ shot });

const revisionNumber = z.coerce.number().int().min(1);

/** An easing that is kept by a name, for any shot; null when the server holds none that can be read. */
const keptEasing = z.object({ id, name: z.string(), easing: easingSchema.nullable() });

const keptPicture = backdropSchema.shape.pictures.element.extend({
  note: z.string(),
});

const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/);

/** What a backup holds that was brought in; nothing has changed yet. */
const backup = z.object({
  id,
  /** Null where it does not say. */
  madeAt: z.string().nullable(),
  shots: z.array(z.object({ name: z.string(), film: z.string(), savedAt: z.string() })),
  removedShots: z.number(),
  revisions: z.number(),
  pictures: z.number(),
  sounds: z.number(),
  easings: z.number(),
  /** What is wrong with it, a sentence each; empty for one that is whole. */
  faults: z.array(z.string()),
});

export interface Endpoint {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Below `API`, with `:name` for each parameter. */
  readonly path: string;
  readonly params?: z.ZodType;
  /** JSON, or the bytes of a file. */
  readonly body?: z.ZodType | 'bytes';
  /** Of an answer that is no problem. */
  readonly status: number;
  /** JSON; a file as text or bytes; null for an empty answer. */
  readonly answer: z.ZodType | 'text' | 'bytes' | null;
}

const defineContract = <Contract extends Readonly<Record<string, Endpoint>>>(contract: Contract): Contract =>
  contract;

export const CONTRACT = defineContract({
  health: { ...ROUTES.health, status: 200, answer: z.object({ status: z.literal('ok') }) },
  databaseHealth: {
    ...ROUTES.databaseHealth,
    status: 200,
    answer: z.object({
      journalMode: z.string(),
      synchronous: z.enum(['off', 'normal', 'full', 'extra']),
      foreignKeys: z.boolean(),
      busyTimeoutMs: z.number(),
    }),
  },
  listShots: {
    ...ROUTES.listShots,
    status: 200,
    answer: z.object({ shots: z.array(summary) }),
  },
  listRemoved: {
    ...ROUTES.listRemoved,
    status: 200,
    answer: z.object({ shots: z.array(removed) }),
  },
  emptyBin: { ...ROUTES.emptyBin, status: 204, answer: null },
  removeForGood: { ...ROUTES.removeForGood, params: ofShot, status: 204, answer: null },
  createShot: { ...ROUTES.createShot, body: z.object({ shot }), status: 201, answer: stored },
  importShot: {
    ...ROUTES.importShot,
    body: 'bytes',
    status: 201,
    answer: stored.extend({ notes: z.array(z.string()) }),
  },
  readShot: { ...ROUTES.readShot, params: ofShot, status: 200, answer: stored },
  readRevision: {
    ...ROUTES.readRevision,
    params: ofShot,
    status: 200,
    answer: z.object({ revision, isRemoved: z.boolean() }),
  },
  /** Earlier revisions, the newest first. */
  listRevisions: {
    ...ROUTES.listRevisions,
    params: ofShot.extend({ before: revisionNumber }),
    status: 200,
    answer: z.object({
      revisions: z.array(
        z.object({
          revision,
          savedAt: z.string(),
          card: cardSchema,
          /** Since the one before it that is kept, in plain words; empty for the oldest one. */
          changes: z.array(z.string()),
        }),
      ),
      /** All of them, listed or not, and what they take together. */
      count: z.number(),
      bytes: z.number(),
    }),
  },
  readPastShot: {
    ...ROUTES.readPastShot,
    params: ofShot.extend({ revision: revisionNumber }),
    status: 200,
    answer: stored,
  },
  /** Server-sent events: a line of JSON with the revision for each save. */
  followShot: { ...ROUTES.followShot, params: ofShot, status: 200, answer: 'text' },
  readDocument: {
    ...ROUTES.readDocument,
    params: ofShot,
    status: 200,
    answer: 'text',
  },
  saveShot: {
    ...ROUTES.saveShot,
    params: ofShot,
    body: z.object({ revision, shot }),
    status: 200,
    answer: saved,
  },
  duplicateShot: {
    ...ROUTES.duplicateShot,
    params: ofShot,
    status: 201,
    answer: stored,
  },
  removeShot: { ...ROUTES.removeShot, params: ofShot, status: 204, answer: null },
  restoreShot: {
    ...ROUTES.restoreShot,
    params: ofShot,
    status: 200,
    answer: saved.extend({ name: z.string() }),
  },
  orderShots: {
    ...ROUTES.orderShots,
    body: z.object({ ids: z.array(id).min(1).max(MAX_SHOTS_OF_FILM) }),
    status: 204,
    answer: null,
  },
  loadDemo: { ...ROUTES.loadDemo, status: 204, answer: null },
  /** All of it as a ZIP file. */
  writeBackup: { ...ROUTES.writeBackup, status: 200, answer: 'bytes' },
  listCopies: { ...ROUTES.listCopies, status: 200, answer: z.object({ days: z.array(day) }) },
  lookAtBackup: { ...ROUTES.lookAtBackup, body: 'bytes', status: 201, answer: backup },
  lookAtCopy: { ...ROUTES.lookAtCopy, params: z.object({ day }), status: 201, answer: backup },
  forgetBackup: { ...ROUTES.forgetBackup, params: ofShot, status: 204, answer: null },
  restoreBackup: {
    ...ROUTES.restoreBackup,
    params: ofShot,
    body: z.object({ way: z.enum(['beside', 'instead']) }),
    status: 200,
    answer: z.object({
      added: z.number(),
      renamed: z.number(),
      same: z.number(),
      /** The file that what was there before lies in; null where nothing was replaced. */
      setAside: z.string().nullable(),
    }),
  },
  listEasings: {
    ...ROUTES.listEasings,
    status: 200,
    answer: z.object({ easings: z.array(keptEasing) }),
  },
  keepEasing: {
    ...ROUTES.keepEasing,
    body: z.object({ name: lineSchema(z).trim().min(1).max(MAX_NAME_LENGTH), easing: easingSchema }),
    status: 201,
    answer: keptEasing,
  },
  removeEasing: { ...ROUTES.removeEasing, params: ofShot, status: 204, answer: null },
  keepPicture: { ...ROUTES.keepPicture, body: 'bytes', status: 201, answer: keptPicture },
  readPicture: {
    ...ROUTES.readPicture,
    params: z.object({ sha256 }),
    status: 200,
    answer: 'bytes',
  },
  readSmallPicture: {
    ...ROUTES.readSmallPicture,
    params: z.object({ sha256 }),
    status: 200,
    answer: 'bytes',
  },
  readWatchedFolder: {
    ...ROUTES.readWatchedFolder,
    params: z.object({ after: z.coerce.number().int().min(0) }),
    status: 200,
    answer: z.object({
      /** Its name; null where none is watched. */
      folder: z.string().nullable(),
      files: z.array(
        z.object({
          number: z.number(),
          name: z.string(),
          picture: backdropSchema.shape.pictures.element.nullable(),
          sentence: z.string(),
        }),
      ),
    }),
  },
  readSession: { ...ROUTES.readSession, status: 200, answer: z.object({ isPaired: z.boolean() }) },
  readPairing: {
    ...ROUTES.readPairing,
    status: 200,
    answer: z.object({
      /** Where the local network finds the server; null where it listens on this machine alone. */
      address: z.string().nullable(),
      link: z.string().nullable(),
      /** The same as a picture to be scanned, SVG. */
      qr: z.string().nullable(),
      devices: z.array(z.object({ id: z.string(), name: z.string(), since: z.string(), seen: z.string() })),
    }),
  },
  pairDevice: {
    ...ROUTES.pairDevice,
    body: z.object({
      proof: z.union([
        z.object({ code: z.string().min(1).max(100) }),
        z.object({ passphrase: z.string().min(1).max(200) }),
      ]),
      name: lineSchema(z).trim().min(1).max(MAX_NAME_LENGTH),
    }),
    status: 204,
    answer: null,
  },
  endDevice: { ...ROUTES.endDevice, params: ofShot, status: 204, answer: null },
  keepSound: {
    ...ROUTES.keepSound,
    body: 'bytes',
    status: 201,
    answer: soundSchema.omit({ startSeconds: true }),
  },
  readSound: { ...ROUTES.readSound, params: z.object({ sha256 }), status: 200, answer: 'bytes' },
});

export type { EndpointName };

export type AnswerOf<Name extends EndpointName> = (typeof CONTRACT)[Name]['answer'] extends z.ZodType
  ? z.infer<(typeof CONTRACT)[Name]['answer']>
  : void;

export type BodyOf<Name extends EndpointName> = (typeof CONTRACT)[Name] extends { readonly body: infer Body }
  ? Body extends z.ZodType
    ? z.input<Body>
    : Blob
  : void;
