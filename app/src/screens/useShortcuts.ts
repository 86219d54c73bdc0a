import { useEffect, useState } from 'react';
import { ActionCreators } from 'redux-undo';
import { useAppDispatch, useAppStore } from '../store/hooks';
import type { AppStore } from '../store/store';
import { goTo, step, togglePlay } from '../playback/playhead';
import { flip } from '../commands/flipping';
import { toggleTurns } from '../commands/takes';
import { goToStep } from '../commands/goToStep';
import { keyHandler } from '../commands/keyHandler';
import { isFocusReturned } from '../ui/returnedFocus';
import { useLatest } from '../ui/useLatest';
import { STEPS } from '../kinds/steps';
import { type KeyCommand, STEP_PARTS } from './steps';

const TYPING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** Roles that have a meaning of their own for Space and the arrows. */
const WORKED_BY_KEYS = new Set(['slider', 'button', 'radio', 'switch', 'tab', 'separator', 'link']);

const isTyped = ({ target }: KeyboardEvent): boolean => TYPING.has((target as HTMLElement).tagName);
const isInDialog = (): boolean => document.querySelector('[aria-modal="true"]') !== null;

function stepKeys(store: AppStore): KeyCommand {
  const keys = new Map(STEPS.map(({ name }) => [name, STEP_PARTS[name].keys?.(store)]));
  return (event) => keys.get(store.getState().session.step)?.(event) ?? false;
}

export function useShortcuts(onHelp: () => void): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [keysOfStep] = useState(() => stepKeys(store));
  const redo = (): void => void dispatch(ActionCreators.redo());
  const keysOfBench = keyHandler('everywhere', {
    togglePlay: ({ target }) => {
      if (WORKED_BY_KEYS.has((target as HTMLElement).getAttribute('role') ?? '')) return false;
      togglePlay();
    },
    back: () => step(-1),
    on: () => step(1),
    first: () => goTo(1),
    last: () => goTo(store.getState().shot.present.shot?.lengthFrames ?? 1),
    flip: () => flip(store),
    toggleTurns: () => toggleTurns(store),
    undo: () => void dispatch(ActionCreators.undo()),
    redo,
    redoToo: redo,
    goToStep: ({ code }) => dispatch(goToStep(STEPS[Number(code[5]) - 1]!.name)),
    help: onHelp,
    helpToo: onHelp,
  });
  const pressed = (event: KeyboardEvent): void => {
    if (isTyped(event) || event.defaultPrevented || isInDialog()) return;
    // A key of the step goes before one of the bench.
    if (keysOfStep(event) || keysOfBench(event)) event.preventDefault();
  };
  const latest = useLatest(pressed);
  useEffect(() => {
    if (typeof document === 'undefined') return;
    const listen = (event: KeyboardEvent): void => latest()(event);
    // Before the button sees it: after a dialog closed, Space plays and does not open it again.
    const listenFirst = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || !isFocusReturned() || isInDialog() || isTyped(event)) return;
      event.preventDefault();
      event.stopPropagation();
      if (event.type === 'keydown' && !event.repeat) togglePlay();
    };
    document.addEventListener('keydown', listenFirst, { capture: true });
    document.addEventListener('keyup', listenFirst, { capture: true });
    document.addEventListener('keydown', listen);
    return () => {
      document.removeEventListener('keydown', listenFirst, { capture: true });
      document.removeEventListener('keyup', listenFirst, { capture: true });
      document.removeEventListener('keydown', listen);
    };
  }, [latest]);
}
