import { useEffect } from 'react';
import { ActionCreators } from 'redux-undo';
import { activeArcOf, useAppDispatch, useAppStore, useEdit, useSession } from '../state/hooks';
import { goTo, step, togglePlay } from '../state/playhead';
import { pointSelected, redrawingSet, stepChosen } from '../state/sessionSlice';
import { useLive } from '../ui/useLive';
import { STEPS } from './steps';

const TYPING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** Roles that have a meaning of their own for Space and the arrows. */
const WORKED_BY_KEYS = new Set(['slider', 'button', 'radio', 'switch', 'tab', 'separator', 'link']);

/** The keys of the workbench. Keys that belong to a field or a control in focus stay there. */
export function useShortcuts(onHelp: () => void): void {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const store = useAppStore();
  const selectedPointId = useSession((session) => session.selectedPointId);
  const currentStep = useSession((session) => session.step);

  const deleteSelected = (): void => {
    const arc = activeArcOf(store.getState().shot.present.shot);
    if (!arc || selectedPointId === null || currentStep !== 'arc') return;
    if (edit('deletePoint', { arcId: arc.id, pointId: selectedPointId })) dispatch(pointSelected(null));
  };
  const letGo = (): void => {
    dispatch(redrawingSet(false));
  };
  const plain: Record<string, () => void> = {
    ' ': togglePlay,
    ArrowLeft: () => step(-1),
    ArrowRight: () => step(1),
    Home: () => goTo(1),
    End: () => goTo(store.getState().shot.present.shot?.lengthFrames ?? 1),
    Delete: deleteSelected,
    Backspace: deleteSelected,
    Escape: letGo,
    '?': onHelp,
  };
  const pressed = (event: KeyboardEvent): void => {
    const at = event.target as HTMLElement;
    if (TYPING.has(at.tagName) || event.defaultPrevented || document.querySelector('[aria-modal="true"]'))
      return;
    const isCommand = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    let act: (() => void) | undefined;
    if (isCommand && key === 'z')
      act = () => dispatch(event.shiftKey ? ActionCreators.redo() : ActionCreators.undo());
    else if (isCommand && key === 'y') act = () => dispatch(ActionCreators.redo());
    else if (event.altKey && /^Digit[1-4]$/.test(event.code))
      act = () => dispatch(stepChosen(STEPS[Number(event.code[5]) - 1]!.step));
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
  const latest = useLive(pressed);
  useEffect(() => {
    if (typeof document === 'undefined') return;
    const listen = (event: KeyboardEvent): void => latest()(event);
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, [latest]);
}
