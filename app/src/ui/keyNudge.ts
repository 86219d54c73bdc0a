interface KeyEvent {
  readonly key?: string;
  readonly nativeEvent?: { readonly key?: string };
  readonly shiftKey?: boolean;
  readonly altKey?: boolean;
  readonly preventDefault: () => void;
  readonly stopPropagation: () => void;
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};

/** For what has ends: Home and End go all the way. */
export const TO_ENDS: Readonly<Record<string, number>> = { Home: -Infinity, End: Infinity };

/** Props that let the arrow keys work something that is dragged: by 1, by 10 with Shift or the page keys. */
export function keyNudge(onNudge: (by: number) => void, more: Readonly<Record<string, number>> = {}): object {
  return {
    onKeyDown: (event: KeyEvent) => {
      const key = event.key ?? event.nativeEvent?.key ?? '';
      const by = STEPS[key] ?? more[key];
      // With Alt the arrows belong to what is in the field.
      if (by === undefined || event.altKey) return;
      event.preventDefault();
      event.stopPropagation();
      onNudge(by * (event.shiftKey && Math.abs(by) === 1 ? 10 : 1));
    },
  };
}
