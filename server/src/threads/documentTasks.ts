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

/** A file from outside. */
export interface ImportedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
  /** From what its writer counted frames. */
  readonly firstNumber: FirstFrameNumber;
}

/** What the thread that works on documents can be asked. Each parses and checks what it is given once. */
export type DocumentTask =
  /** The body of a request, `{shot}` or `{revision, shot}`. */
  | { readonly kind: 'body'; readonly bytes: Uint8Array; readonly namesRevision: boolean }
  /** A file of any kind that can be read as a shot. */
  | ({ readonly kind: 'file' } & ImportedFile)
  /** A document, of any known version, as it is written today. */
  | { readonly kind: 'document'; readonly text: string; readonly withCard: boolean }
  /** The same under another name. */
  | { readonly kind: 'copy'; readonly text: string; readonly suffix: string };

export interface DocumentResults {
  readonly body: CheckedBody;
  readonly file: ImportedShot;
  readonly document: ShotColumns;
  readonly copy: ShotColumns;
}
