import type { FirstFrameNumber } from '@humble/core';
import type { RevisionText, StoredRevision } from '../history/revisionChain';

/** A checked document, and what the list needs without reading it. */
export interface ShotColumns {
  readonly document: string;
  readonly name: string;
  readonly film: string;
  readonly lengthFrames: number;
  readonly rate: number;
  /** The card as JSON; empty where it was not asked for. */
  readonly card: string;
}

/** A request's body, checked. `revision` is the one that it names, if it names one. */
export interface CheckedBody extends ShotColumns {
  readonly revision?: number;
}

/** A shot from a file, and sentences on what the file could not say. */
export interface ImportedShot extends ShotColumns {
  readonly notes: readonly string[];
}

export interface ImportedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly firstNumber: FirstFrameNumber;
}

export type DocumentTask =
  | { readonly kind: 'body'; readonly bytes: Uint8Array; readonly namesRevision: boolean }
  | ({ readonly kind: 'file' } & ImportedFile)
  | { readonly kind: 'document'; readonly text: string; readonly withCard: boolean }
  | { readonly kind: 'copy'; readonly text: string; readonly suffix: string }
  | { readonly kind: 'delta'; readonly before: RevisionText | null; readonly after: RevisionText }
  | { readonly kind: 'past'; readonly chain: readonly StoredRevision[] }
  | {
      readonly kind: 'changes';
      readonly chain: readonly StoredRevision[];
      /** The revisions whose changes are asked for. */
      readonly wanted: readonly number[];
    }
  | {
      readonly kind: 'thinned';
      readonly chain: readonly StoredRevision[];
      /** The revisions that stay. */
      readonly kept: readonly number[];
    };

/** What changed in a revision since the one before it that is kept, in plain words. */
export interface RevisionChanges {
  readonly revision: number;
  readonly changes: readonly string[];
}

/** What has to be stored anew of a thinned history, and the files that it goes on using. */
export interface ThinnedHistory {
  readonly changed: readonly StoredRevision[];
  readonly files: readonly string[];
}

export interface DocumentResults {
  readonly body: CheckedBody;
  readonly file: ImportedShot;
  readonly document: ShotColumns;
  readonly copy: ShotColumns;
  readonly delta: StoredRevision;
  /** The last document of the chain, as it is written today. */
  readonly past: ShotColumns;
  readonly changes: readonly RevisionChanges[];
  readonly thinned: ThinnedHistory;
}
