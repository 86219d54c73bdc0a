import type { RootState } from '../store';
import { selectActiveMove } from './active';

const NONE: readonly { readonly frame: number }[] = [];

/** The keys of the active move that are selected, all of one track. */
export function selectSelectedKeys(state: RootState): readonly { readonly frame: number }[] {
  const { selectedKeys } = state.editor;
  if (!selectedKeys) return NONE;
  const keys = selectActiveMove(state)?.tracks[selectedKeys.track] ?? NONE;
  return keys.filter((key) => 'id' in key && selectedKeys.ids.includes(key.id as string));
}
