import { useEffect } from 'react';
import { ActionCreators } from 'redux-undo';
import { useAppDispatch, useAppStore } from '../state/hooks';
import { goTo, step, togglePlay } from '../state/playhead';
import { goToStep } from '../state/goToStep';
import { useLatest } from '../ui/useLatest';
import { STEPS } from './steps';
import { useArcKeys } from './useArcKeys';
import { useFigureKeys } from './useFigureKeys';

const TYPING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** Roles that have a meaning of their own for Space and the arrows. */
const WORKED_BY_KEYS = new Set(['slider', 'button', 'radio', 'switch', 'tab', 'separator', 'link']);

/** The keys of the workbench. Keys that belong to a field or a control in focus stay there. */
export function useShortcuts(onHelp: () => void): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const arcKey = useArcKeys();
  const figureKey = useFigureKeys();
  const plain: Record<string, () => void> = {
    ' ': togglePlay,
    ArrowLeft: () => step(-1),
    ArrowRight: () => step(1),
    Home: () => goTo(1),
    End: () => goTo(store.getState().shot.present.shot?.lengthFrames ?? 1),
    '?': onHelp,
  };
  const pressed = (event: KeyboardEvent): void => {
    const at = event.target as HTMLElement;
    if (TYPING.has(at.tagName) || event.defaultPrevented || document.querySelector('[aria-modal="true"]'))
      return;
    const isCommand = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    let act = arcKey(event) ?? figureKey(event);
    if (act) {
      // A key of the step goes before one of the bench.
    } else if (isCommand && key === 'z')
      act = () => dispatch(event.shiftKey ? ActionCreators.redo() : ActionCreators.undo());
    else if (isCommand && key === 'y') act = () => dispatch(ActionCreators.redo());
    else if (event.altKey && /^Digit[1-4]$/.test(event.code))
      act = () => dispatch(goToStep(STEPS[Number(event.code[5]) - 1]!.step));
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
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, [latest]);
}
