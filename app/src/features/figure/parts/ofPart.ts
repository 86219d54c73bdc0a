import type { Rider } from '@humble/core';

export type SetPart = (some: Partial<Omit<Rider, 'id'>>, undoGroup?: string) => void;

/** What fields of a part are about. */
export interface OfPart {
  readonly rider: Rider;
  readonly set: SetPart;
}
