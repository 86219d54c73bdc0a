import { edits, type Shot } from '@humble/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { ListedRevision } from '../../persistence/api';
import { doEdit } from '../../store/doEdit';
import { selectComparison } from '../../store/selectors/comparison';
import { answerWith } from '../../testing/answers';
import { benchWith, renderOn, shotOn, straightShot } from '../../testing/bench';
import { byteSize } from './byteSize';
import { savedWhen } from './savedWhen';
import { VersionEntry } from './VersionEntry';

const now = straightShot();
const before: Shot = edits.setLength(now, { lengthFrames: 41 });

const card = { width: 160, height: 90, backdrop: null, arcs: [], ticks: '', ghosts: [], outlines: [] };
const version = (some: Partial<ListedRevision> = {}): ListedRevision => ({
  revision: 3,
  savedAt: '2026-11-30T12:00:00Z',
  card,
  changes: ['arc reshaped', '2 marks moved'],
  ...some,
});

/** A bench whose server had the shot with other numbers of frames in revision 3. */
function show(some: Partial<ListedRevision> = {}, marks: { isNow?: boolean; isOldest?: boolean } = {}) {
  const store = benchWith(now);
  answerWith({ '/api/shots/a/revisions/3': { id: 'a', revision: 3, updatedAt: '', shot: before } });
  renderOn(store, <VersionEntry version={version(some)} isNow={false} isOldest={false} {...marks} />);
  return store;
}

test('an entry says what changed, the first few of it', () => {
  show({ changes: ['arc reshaped', '2 marks moved', 'easing changed', 'ruler changed', 'a', 'b'] });
  expect(
    screen.getByText('Arc reshaped, 2 marks moved, easing changed, ruler changed, and 2 more'),
  ).toBeTruthy();
});

test('the oldest one, and one that says the same, have nothing to say of changes', () => {
  show({ changes: [] }, { isOldest: true });
  expect(screen.getByText('The oldest version kept')).toBeTruthy();
  show({ changes: [] });
  expect(screen.getByText('Saved again, unchanged')).toBeTruthy();
});

test('what is on the bench cannot be restored', () => {
  show({}, { isNow: true });
  expect(screen.queryByRole('button', { name: /^Restore/ })).toBeNull();
});

test('looked at it stands beside what there is now; alone only until something is changed', async () => {
  const store = show();
  fireEvent.press(screen.getByRole('button', { name: /^Look at/ }));
  await waitFor(() => expect(selectComparison(store.getState())?.other).toEqual(before));
  fireEvent.press(screen.getByRole('radio', { name: 'This version' }));
  expect(store.getState().review.compared?.shows).toBe('alone');
  act(() => void store.dispatch(doEdit('renameShot', { name: 'Pier' })));
  expect(store.getState().review.compared?.shows).toBe('together');
});

test('restored it is one step that undo takes back', async () => {
  const store = show();
  fireEvent.press(screen.getByRole('button', { name: /^Restore/ }));
  await waitFor(() => expect(shotOn(store).lengthFrames).toBe(41));
  expect(store.getState().session.message?.text).toMatch(/^The version of .* is back\./);
  act(() => void store.dispatch({ type: '@@redux-undo/UNDO' }));
  expect(shotOn(store)).toBe(now);
});

test('sizes and times are short', () => {
  expect([200, 3000, 5_400_000].map(byteSize)).toEqual(['1 KB', '3 KB', '5.1 MB']);
  const noon = new Date(2026, 10, 30, 12, 0, 0);
  expect(savedWhen(new Date(2026, 10, 30, 9, 5, 7).toISOString(), noon)).toMatch(/09:05:07/);
  expect(savedWhen(new Date(2026, 10, 29, 9, 5, 7).toISOString(), noon)).toMatch(/29/);
});
