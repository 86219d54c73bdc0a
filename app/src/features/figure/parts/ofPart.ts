import type { Rider } from '@humble/core';

export type SetPart = (some: Partial<Omit<Rider, 'id'>>, undoGroup?: string) => void;

export interface OfPart {
  readonly rider: Rider;
  readonly set: SetPart;
}
