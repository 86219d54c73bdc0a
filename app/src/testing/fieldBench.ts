import { type ArcPoint, edits, freshShot, type Shot } from '@humble/core';
import { settingsChanged } from '../store/settingsSlice';
import type { AppStore } from '../store/store';
import { createFieldSurface } from '../features/field/fieldSurface';
import { FIELD_VIEW } from '../features/field/fieldView';
import { heldSourcesOf } from '../playback/heldSources';
import { createPointerSession, type PointerSession } from '../render/pointerSession';
import { fieldStateOf, gripsFor } from '../features/field/fieldState';
import { type Viewport, wholeField } from '../features/field/viewport';
import { benchWith, shotOn } from './bench';

/** A pointer on a field without a picture of it. */

const still = { x: 0, y: 0 };
export const FIELD = { width: 1000, height: 600 };
/** The view shows the field as it is, a pixel for a unit. */
const PROJECTION = { scale: 1, offset: { x: 0, y: 0 } };
export const corner = (x: number, y: number) => ({ x, y, in: still, out: still, kind: 'corner' as const });

export const emptyField = freshShot({ name: 'Quay', rate: 24, lengthFrames: 21, ...FIELD });
export const threePoints = (): Shot =>
  edits.drawArc(emptyField, { points: [corner(100, 300), corner(400, 300), corner(700, 300)] });

export interface Bench {
  readonly store: AppStore;
  readonly session: PointerSession;
  readonly views: (Viewport | null)[];
  readonly keys: { shift: boolean };
  /** What the pointer is to report with its next word, pixels of the view. */
  readonly reports: { readonly x: number; readonly y: number; readonly at: number }[];
  readonly points: () => readonly ArcPoint[];
  readonly tap: (x: number, y: number) => void;
  readonly drag: (...places: [number, number][]) => void;
}

export function bench(shot: Shot): Bench {
  const store = benchWith(shot, 'arc');
  store.dispatch(settingsChanged({ snapsToPoints: false, snapsToLines: false, snapsToGrid: false }));
  const grips = gripsFor(PROJECTION, FIELD);
  const views: (Viewport | null)[] = [];
  const keys = { shift: false };
  const reports: Bench['reports'] = [];
  const context = {
    store,
    viewChanges: (view: Viewport | null) => void views.push(view),
    snapshot: () => ({
      state: fieldStateOf(store.getState(), grips),
      viewport: wholeField(FIELD),
      projection: PROJECTION,
    }),
  };
  const surface = createFieldSurface(() => context);
  const session = createPointerSession({
    held: heldSourcesOf(store),
    inWindow: (at) => at,
    view: FIELD_VIEW,
    surface: () => surface,
    trail: () => ({
      isShift: () => keys.shift,
      take: () => reports.splice(0),
      pressedAt: () => performance.now(),
    }),
  });
  const at = (x: number, y: number) => ({ x, y });
  return {
    store,
    session,
    views,
    keys,
    reports,
    points: () => shotOn(store).arcs[0]!.points,
    tap: (x, y) => {
      session.begin(at(x, y), false);
      session.end(at(x, y));
    },
    drag: (...places) => {
      session.begin(at(...places[0]!), false);
      places.slice(1).forEach((place) => session.update(at(...place)));
      session.end(at(...places.at(-1)!));
    },
  };
}
