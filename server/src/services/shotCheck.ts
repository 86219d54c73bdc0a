import { CARD_VERSION } from '@humble/core/files';
import type { AnswerOf } from '@humble/core/contract';
import type { Database } from '../database/openDatabase';
import { Problem } from '../http/problem';
import type { Threads } from '../threads/threads';

/** Why a shot cannot be opened. */
type Damage = NonNullable<AnswerOf<'listShots'>['shots'][number]['damage']>;

/** What an error on opening a stored document says of it; null for one that has nothing to do with it. */
export function damageOf(error: unknown): Damage | null {
  const { status, code, message } = Problem.from(error);
  if (status >= 500) return null;
  if (code === 'newer-version') return { code, sentence: message };
  const what = message.replace(/^This (shot|file) cannot be (used|read): /, '').replace(/\.$/, '');
  const sentence =
    code === 'not-json' || code === 'not-a-shot' ? 'part of its file is missing or is not a shot' : what;
  return { code: 'damaged-shot', sentence: `This shot is damaged: ${sentence}.` };
}

/** The list waits this long for documents that nobody has looked at yet, milliseconds. */
const PATIENCE_MS = 400;

interface Row {
  readonly id: string;
  readonly revision: number;
  readonly cardVersion: number;
  /** Length of the document: one that was torn has another. */
  readonly bytes: number;
  readonly hasCard: number;
}

const stateOf = ({ revision, bytes }: Pick<Row, 'revision' | 'bytes'>): string => `${revision}:${bytes}`;

/**
 * Looks at stored documents beside the requests, each once for each state it is in, so that the list can tell
 * which shots are damaged without reading them all; draws the cards that are missing or old.
 */
export function createShotCheck({ shots, select }: Database, threads: Threads) {
  const checked = new Map<string, { readonly state: string; readonly damage: Damage | null }>();
  let underWay: Promise<void> | null = null;

  async function look(row: Row): Promise<void> {
    const { id, revision } = row;
    const record = await shots.findByPk(id, { attributes: ['document'] });
    if (!record) return;
    try {
      const isDrawn = row.cardVersion === CARD_VERSION && Boolean(row.hasCard);
      const { card } = await threads.openDocument(String(record.document), !isDrawn);
      checked.set(id, { state: stateOf(row), damage: null });
      if (isDrawn) return;
      await shots.update({ card, cardVersion: CARD_VERSION }, { where: { id, revision }, silent: true });
    } catch (error) {
      const damage = damageOf(error);
      if (damage) checked.set(id, { state: stateOf(row), damage });
    }
  }

  async function lookAtAll(): Promise<void> {
    const rows = await select<Row>(
      `SELECT id, revision, cardVersion, octet_length(document) AS bytes,
        CASE WHEN json_valid(card) THEN json_type(card, '$.ghosts') = 'array' ELSE 0 END AS hasCard
        FROM shots WHERE removedAt IS NULL ORDER BY updatedAt DESC`,
    );
    const isKnown = (row: Row): boolean =>
      checked.get(row.id)?.state === stateOf(row) && row.cardVersion === CARD_VERSION && row.hasCard === 1;
    for (const row of rows) if (!isKnown(row)) await look(row);
  }

  return {
    /** Tells that a document was checked and its card drawn before it was stored. */
    knowGood: (id: string, revision: number, bytes: number): void => {
      checked.set(id, { state: stateOf({ revision, bytes }), damage: null });
    },

    /** What is known to be damaged, by the shot's id; what nobody has looked at is looked at meanwhile. */
    known: async (): Promise<ReadonlyMap<string, Damage>> => {
      underWay ??= lookAtAll().finally(() => (underWay = null));
      const patience = new Promise<void>((resolve) => setTimeout(resolve, PATIENCE_MS));
      await Promise.race([underWay.catch(() => undefined), patience]);
      return new Map([...checked].flatMap(([id, { damage }]) => (damage ? [[id, damage] as const] : [])));
    },
  };
}
