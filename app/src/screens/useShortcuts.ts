import { useEffect, useState } from 'react';
import { ActionCreators } from 'redux-undo';
import { useAppDispatch, useAppStore } from '../store/hooks';
import type { AppStore } from '../store/store';
import { goTo, step, togglePlay } from '../playback/playhead';
import { flip } from '../commands/flipping';
import { toggleTurns } from '../commands/takes';
import { goToStep } from '../commands/goToStep';
import { isFocusReturned } from '../ui/returnedFocus';
import { useLatest } from '../ui/useLatest';
import { STEPS } from '../kinds/steps';
import { type KeyCommand, STEP_PARTS } from './steps';

const TYPING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** Roles that have a meaning of their own for Space and the arrows. */
const WORKED_BY_KEYS = new Set(['slider', 'button', 'radio', 'switch', 'tab', 'separator', 'link']);

const isTyped = ({ target }: KeyboardEvent): boolean => TYPING.has((target as HTMLElement).tagName);
const isInDialog = (): boolean => document.querySelector('[aria-modal="true"]') !== null;

/** The keys of the current step. */
function stepKeys(store: AppStore): KeyCommand {
  const keys = new Map(STEPS.map(({ name }) => [name, STEP_PARTS[name].keys?.(store)]));
  return (event) => keys.get(store.getState().session.step)?.(event);
}

/** The keys of the workbench. Keys that belong to a field or a control in focus stay there. */
export function useShortcuts(onHelp: () => void): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [keysOfStep] = useState(() => stepKeys(store));
  const plain: Record<string, () => void> = {
    ' ': togglePlay,
    ArrowLeft: () => step(-1),
    ArrowRight: () => step(1),
    Home: () => goTo(1),
    End: () => goTo(store.getState().shot.present.shot?.lengthFrames ?? 1),
    '?': onHelp,
    x: () => flip(store),
    b: () => toggleTurns(store),
  };
  const pressed = (event: KeyboardEvent): void => {
    const at = event.target as HTMLElement;
    if (isTyped(event) || event.defaultPrevented || isInDialog()) return;
    const isCommand = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    let act = keysOfStep(event);
    if (act) {
      // A key of the step goes before one of the bench.
    } else if (isCommand && key === 'z')
      act = () => dispatch(event.shiftKey ? ActionCreators.redo() : ActionCreators.undo());
    else if (isCommand && key === 'y') act = () => dispatch(ActionCreators.redo());
    else if (event.altKey && /^Digit[1-4]$/.test(event.code))
      act = () => dispatch(goToStep(STEPS[Number(event.code[5]) - 1]!.name));
    else if (
      !isCommand &&
      !event.altKey &&
      !(event.key === ' ' && WORKED_BY_KEYS.has(at.getAttribute('role') ?? ''))
    )
      act = plain[event.key];
    if (!act) return;
    event.preventDefault();
    act();
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
