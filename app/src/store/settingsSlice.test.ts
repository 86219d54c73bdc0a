import {
  groupBroughtForward,
  groupFolded,
  loadSettings,
  settingsChanged,
  settingsReducer,
  storeSettings,
  type Settings,
} from './settingsSlice';

const kept = new Map<string, string>();
const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
};

beforeEach(() => {
  kept.clear();
  Object.assign(globalThis, { localStorage: storage });
});
afterAll(() => Reflect.deleteProperty(globalThis, 'localStorage'));

const fresh = (): Settings => loadSettings();

test('settings of an earlier visit come back', () => {
  const changed = settingsReducer(fresh(), settingsChanged({ theme: 'lampout', loops: false }));
  storeSettings(changed);
  expect(loadSettings()).toEqual(changed);
});

test.each([
  ['no JSON', 'half {'],
  ['another shape', '{"theme": "neon"}'],
  ['nonsense numbers', JSON.stringify({ ...loadSettings(), ghosts: { before: -1, after: 1e9, every: 0 } })],
])('stored settings that make no sense (%s) give fresh ones', (_, text) => {
  const expected = fresh();
  kept.set('humble-settings', text);
  expect(loadSettings()).toEqual(expected);
});

test('of stored settings each that makes sense is kept', () => {
  const expected = { ...fresh(), loops: false, tickReach: 7 };
  kept.set('humble-settings', JSON.stringify({ ...expected, gridSize: 1e9, posePath: 'bent', more: 1 }));
  expect(loadSettings()).toEqual(expected);
});

test('a browser that keeps nothing still works', () => {
  Object.assign(globalThis, {
    localStorage: {
      getItem: () => {
        throw new Error('denied');
      },
      setItem: () => {
        throw new Error('full');
      },
    },
  });
  const settings = loadSettings();
  expect(settings.ghosts).toEqual({ before: 3, after: 2, every: 2 });
  expect(() => storeSettings(settings)).not.toThrow();
});

test('a group that comes forward is shown and unfolded; folding it leaves the one in front', () => {
  const forward = settingsReducer(fresh(), groupBroughtForward({ step: 'arc', group: 'draw' }));
  expect(forward).toMatchObject({ groupInFront: { arc: 'draw' }, groupsOpen: { 'arc draw': true } });
  const folded = settingsReducer(forward, groupFolded({ step: 'arc', group: 'draw' }));
  expect(folded).toMatchObject({ groupInFront: { arc: 'draw' }, groupsOpen: { 'arc draw': false } });
  storeSettings(folded);
  expect(loadSettings()).toEqual(folded);
});
