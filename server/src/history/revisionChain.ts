import { damagedRevision, documentDelta, documentOfWhole, wholeDocument, withDelta } from './documentDelta';

/** A stored revision: a whole document, or what changed since the one that it is based on. */
export interface StoredRevision {
  readonly revision: number;
  /** The revision before it in the chain; null for a whole document. */
  readonly basedOn: number | null;
  readonly content: Uint8Array;
}

export interface RevisionText {
  readonly revision: number;
  readonly document: string;
}

/**
 * The documents of a chain, one after the other. Only the last one is held.
 * @param chain in the order of their numbers, the first of them whole
 * @throws Problem `damaged-shot` when a link is missing
 */
export function* documentsOf(chain: readonly StoredRevision[]): Generator<RevisionText> {
  let before: RevisionText | null = null;
  for (const { revision, basedOn, content } of chain) {
    if (basedOn !== null && basedOn !== before?.revision) throw damagedRevision();
    const document: string =
      basedOn === null ? documentOfWhole(content) : withDelta(before!.document, content);
    before = { revision, document };
    yield before;
  }
}

/** A revision as it is stored after another one; whole where a delta would weigh as much. */
export function storedAfter(
  before: RevisionText | null,
  { revision, document }: RevisionText,
): StoredRevision {
  const whole = (): StoredRevision => ({ revision, basedOn: null, content: wholeDocument(document) });
  if (!before) return whole();
  const content = documentDelta(before.document, document);
  // A short delta is not worth the comparison.
  if (content.length * 8 < document.length) return { revision, basedOn: before.revision, content };
  const alone = whole();
  return alone.content.length <= content.length ? alone : { revision, basedOn: before.revision, content };
}

/**
 * What of a chain has to be stored anew once some revisions are gone.
 * @param kept the numbers of those that stay
 */
export function withoutOthers(
  chain: readonly StoredRevision[],
  kept: ReadonlySet<number>,
): { readonly changed: readonly StoredRevision[]; readonly files: readonly string[] } {
  const changed: StoredRevision[] = [];
  const files = new Set<string>();
  const links = new Map(chain.map(({ revision, basedOn }) => [revision, basedOn]));
  let before: RevisionText | null = null;
  for (const text of documentsOf(chain)) {
    if (!kept.has(text.revision)) continue;
    for (const sha256 of filesIn(text.document)) files.add(sha256);
    const basedOn = links.get(text.revision)!;
    // One that is whole stays so: it bounds how far one has to go back.
    if (basedOn !== null && basedOn !== before?.revision) changed.push(storedAfter(before, text));
    before = text;
  }
  return { changed, files: [...files] };
}

/** Checksums of files that a document names: its pictures and its sound. */
export const filesIn = (document: string): readonly string[] => [
  ...new Set([...document.matchAll(/"sha256":\s*"([0-9a-f]{64})"/g)].map(([, sha256]) => sha256!)),
];
