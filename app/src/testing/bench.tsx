import { edits, freshShot, type Mark, type Move, type Shot } from '@humble/core';
import { render } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import type { WorkStep } from '../kinds/steps';
import { documentOpened } from '../store/sessionSlice';
import { shotOpened } from '../store/shotSlice';
import { StoreProvider } from '../store/StoreProvider';
import type { AppStore } from '../store/store';
import { createServerStore } from '../persistence/appStore';

const still = { x: 0, y: 0 };

/** A shot with one straight arc of 120 units and one even move over all its frames. */
export function straightShot(lengthFrames = 21): Shot {
  const empty = freshShot({ name: 'Quay', rate: 12, lengthFrames, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, {
    points: [0, 120].map((x) => ({ x, y: 0, in: still, out: still, kind: 'corner' as const })),
  });
  return edits.setEasing(drawn, { moveId: 'move1', markId: 'm1', easing: { kind: 'even' } });
}

export function withMarks(shot: Shot, ...places: [frame: number, fraction: number][]): Shot {
  const marks = places.map(([frame, fraction], i): Mark => ({
    id: `m${i + 1}`,
    frame,
    fraction,
    kind: 'stop',
    easing: { kind: 'even' },
    pointId: null,
    label: '',
  }));
  return { ...shot, moves: shot.moves.map((move): Move => ({ ...move, marks })) };
}

export function benchWith(shot: Shot, step: WorkStep = 'timing'): AppStore {
  const store = createServerStore();
  store.dispatch(documentOpened({ id: 'a', revision: 1, status: 'saved', step }));
  store.dispatch(shotOpened(shot));
  return store;
}

export const renderOn = (store: AppStore, element: ReactElement) =>
  render(<StoreProvider store={store}>{element}</StoreProvider>);

export const shotOn = (store: AppStore): Shot => store.getState().shot.present.shot!;
export const moveOn = (store: AppStore): Move => shotOn(store).moves[0]!;
