import { matchKeyBindingPress, parseKeybinding } from 'tinykeys';
import { type KeyPlace, KEYS } from '../words/keys';

type NamesIn<Bindings> = Bindings extends unknown ? keyof Bindings : never;

export type KeyName<Place extends KeyPlace> = NamesIn<(typeof KEYS)[Place]['lines'][number]['bindings']>;

/** What each key of a place does; false where it is not for it now. */
export type KeyHandlers<Place extends KeyPlace> = Readonly<
  Record<KeyName<Place>, (event: KeyboardEvent) => boolean | void>
>;

export function keyHandler<Place extends KeyPlace>(
  place: Place,
  handlers: KeyHandlers<Place>,
): (event: KeyboardEvent) => boolean {
  const handlerOf: Readonly<Record<string, (event: KeyboardEvent) => boolean | void>> = handlers;
  const bound = KEYS[place].lines
    .flatMap(({ bindings }) => Object.entries<string>(bindings))
    .map(([name, binding]) => ({ press: parseKeybinding(binding)[0]!, handle: handlerOf[name]! }));
  return (event) =>
    bound.some(({ press, handle }) => matchKeyBindingPress(event, press) && handle(event) !== false);
}

/** The same for a view that has the focus: what it does goes no further. */
export const focusedKeys = (handle: (event: KeyboardEvent) => boolean) => ({
  onKeyDown: (event: {
    readonly nativeEvent: unknown;
    readonly preventDefault: () => void;
    readonly stopPropagation: () => void;
  }): void => {
    if (!handle(event.nativeEvent as KeyboardEvent)) return;
    event.preventDefault();
    event.stopPropagation();
  },
});
