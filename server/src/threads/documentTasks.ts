import type { FirstFrameNumber } from '@humble/core';

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
  | { readonly kind: 'copy'; readonly text: string; readonly suffix: string };

export interface DocumentResults {
  readonly body: CheckedBody;
  readonly file: ImportedShot;
  readonly document: ShotColumns;
  readonly copy: ShotColumns;
}
