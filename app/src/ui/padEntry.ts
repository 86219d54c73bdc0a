import { createContext, useContext, useEffect, useId } from 'react';
import { createExternalStore, useExternalStore } from './externalStore';
import { isTouch } from './nextField';
import { useLatest } from './useLatest';

/** A number that is typed with the pad: the field that has the focus. */
export interface PadEntry {
  readonly label: string;
  /** The unit that is shown, and those that can be typed; none for a bare number. */
  readonly units: readonly string[];
  readonly text: string;
  /** The value before the first key, as text. */
  readonly before: string;
  /** Nothing was typed yet: the first digit takes the place of what stands there. */
  readonly isFresh: boolean;
  readonly type: (text: string) => void;
  /** The number as it stands in another of the units; without it the digits stay as they are. */
  readonly inUnit?: (unit: string) => string;
  readonly step?: (by: 1 | -1) => void;
  readonly cancel: () => void;
}

interface OpenEntry {
  readonly id: string;
  readonly entry: PadEntry;
}

const open = createExternalStore<OpenEntry | null>(null);

export const usePadEntry = (): PadEntry | null => useExternalStore(open, (now) => now?.entry ?? null);

const Hosted = createContext(false);

/** Within it numbers are typed with the pad that stands there, not with the system's keyboard. */
export const PadHost = Hosted.Provider;

/** Whether numbers are typed by touch where a pad has its place. */
export function useHasPad(): boolean {
  const isHosted = useContext(Hosted);
  return isHosted && isTouch();
}

/**
 * What a field does with the pad, to be called when it comes to have the focus and when it leaves it.
 * @param entry the field as it is now
 */
export function usePad(entry: PadEntry) {
  const id = useId();
  const hasPad = useHasPad();
  const latest = useLatest(entry);
  useEffect(() => {
    if (open.get()?.id === id) open.set({ id, entry: latest() });
  });
  useEffect(
    () => () => {
      if (open.get()?.id === id) open.set(null);
    },
    [id],
  );
  return {
    hasPad,
    enter: (): void => {
      if (hasPad) open.set({ id, entry: latest() });
    },
    leave: (): void => {
      if (open.get()?.id === id) open.set(null);
    },
  };
}

const hasPage = (): boolean => typeof document !== 'undefined';

/** The fields that are typed with the pad, in the order of the page. Web only. */
function padFields(): readonly HTMLElement[] {
  if (!hasPage()) return [];
  const all = [...document.querySelectorAll<HTMLElement>('input[inputmode="none"]')];
  return all.filter((field) => field.offsetParent !== null);
}

/** Goes on to the next field, or to the one before; at the ends it stays. */
export function goToPadField(by: 1 | -1): void {
  const fields = padFields();
  if (fields.length > 0) fields[fields.indexOf(document.activeElement as HTMLElement) + by]?.focus();
}

/** What was typed holds, and the pad goes. */
export function finishPad(): void {
  if (hasPage()) (document.activeElement as HTMLElement | null)?.blur();
}
