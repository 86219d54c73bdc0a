import type { ShotCard } from '@humble/core/files';

/** What a shot is stored as: its document, and what the list needs without reading it. */
export interface ShotColumns {
  readonly document: string;
  readonly name: string;
  readonly film: string;
  readonly lengthFrames: number;
  readonly rate: number;
  readonly width: number;
  readonly height: number;
}

/** A request's body, checked. `revision` is the one that it names, if it names one. */
export interface CheckedBody extends ShotColumns {
  readonly revision?: number;
}

/** What the thread that works on documents can be asked. */
export type DocumentTask =
  /** The body of a request, `{shot}` or `{revision, shot}`: checked. */
  | { readonly kind: 'body'; readonly bytes: Uint8Array; readonly namesRevision: boolean }
  /** A document, of any known version: checked, and as it is written today. */
  | { readonly kind: 'document'; readonly text: string }
  /** The same under another name. */
  | { readonly kind: 'copy'; readonly text: string; readonly suffix: string }
  /** The card of a document that was checked. */
  | { readonly kind: 'card'; readonly text: string };

export interface DocumentResults {
  readonly body: CheckedBody;
  readonly document: ShotColumns;
  readonly copy: ShotColumns;
  readonly card: ShotCard;
}
