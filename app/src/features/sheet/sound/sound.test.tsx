import { edits } from '@humble/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { keepSound } from '../../../persistence/sounds';
import { goTo, setRange } from '../../../playback/playhead';
import { setSoundState } from '../../../playback/soundWave';
import { benchWith, renderOn, shotOn, straightShot } from '../../../testing/bench';
import { pickFile, pickFiles } from '../../../ui/files';
import { SoundGroup } from './SoundGroup';

jest.mock('../../../ui/files', () => ({ pickFile: jest.fn(), pickFiles: jest.fn() }));
jest.mock('../../../persistence/sounds', () => ({ keepSound: jest.fn() }));

const KEPT = { sha256: 'a'.repeat(64), type: 'audio/wav', name: 'bell.wav', seconds: 2 } as const;
const withSound = edits.setSound(straightShot(), { sound: { ...KEPT, startSeconds: 0 } });

beforeEach(() => {
  setRange({ lengthFrames: 21, rate: 12, loops: true });
  goTo(1);
});

const show = (shot = straightShot()) => {
  const store = benchWith(shot, 'sheet');
  renderOn(store, <SoundGroup />);
  return store;
};

test('a sound is brought to the server and laid at the start', async () => {
  jest.mocked(pickFiles).mockResolvedValue([new File(['RIFF'], 'bell.wav')]);
  jest.mocked(keepSound).mockResolvedValue(KEPT);
  const store = show();
  fireEvent.press(screen.getByRole('button', { name: 'Add a WAV or MP3' }));
  await waitFor(() => expect(shotOn(store).sound).toEqual({ ...KEPT, startSeconds: 0 }));
  expect(screen.getByText('bell.wav')).toBeTruthy();
});

test('one that is refused says why and changes nothing', async () => {
  jest.mocked(pickFiles).mockResolvedValue([new File(['?'], 'bell.wav')]);
  jest.mocked(keepSound).mockRejectedValue(new Error('“bell.wav”: This is no WAV or MP3.'));
  const store = show();
  fireEvent.press(screen.getByRole('button', { name: 'Add a WAV or MP3' }));
  await waitFor(() => expect(store.getState().session.message?.text).toMatch('This is no WAV or MP3.'));
  expect(shotOn(store).sound).toBeNull();
});

test('it begins later, and is taken out; its cues stay', () => {
  const store = show(edits.addCues(withSound, { cues: [{ seconds: 1, word: 'thud' }] }));
  fireEvent.changeText(screen.getByLabelText('Begins at, s'), '0.5');
  fireEvent(screen.getByLabelText('Begins at, s'), 'submitEditing');
  expect(shotOn(store).sound!.startSeconds).toBe(0.5);
  fireEvent.press(screen.getByRole('button', { name: 'Remove sound' }));
  expect([shotOn(store).sound, shotOn(store).cues.length]).toEqual([null, 1]);
});

test('cues are tapped at the playhead, renamed and deleted', () => {
  const store = show();
  act(() => goTo(13));
  fireEvent.press(screen.getByRole('button', { name: 'Tap' }));
  expect(shotOn(store).cues).toMatchObject([{ seconds: 1, word: 'beat' }]);
  fireEvent.changeText(screen.getByLabelText('Word on frame 13'), 'step');
  fireEvent(screen.getByLabelText('Word on frame 13'), 'submitEditing');
  expect(shotOn(store).cues).toMatchObject([{ word: 'step' }]);
  fireEvent.press(screen.getByRole('button', { name: 'Delete the cue on frame 13' }));
  expect(shotOn(store).cues).toEqual([]);
});

test('a list of cues is read from a table, or its fault is said', async () => {
  const csv = (text: string) => ({ name: 'cues.csv', bytes: new TextEncoder().encode(text) });
  const store = show();
  jest.mocked(pickFile).mockResolvedValue(csv('frame,word\n1,creak\n7,thud\n'));
  fireEvent.press(screen.getByRole('button', { name: 'Read CSV' }));
  await waitFor(() => expect(shotOn(store).cues.map(({ seconds }) => seconds)).toEqual([0, 0.5]));
  jest.mocked(pickFile).mockResolvedValue(csv('frame,word\nx,thud\n'));
  fireEvent.press(screen.getByRole('button', { name: 'Read CSV' }));
  await waitFor(() => expect(store.getState().session.message?.text).toMatch('Line 2: frame is “x”'));
  expect(shotOn(store).cues).toHaveLength(2);
});

test('beats are found in the sound, each becomes a cue, and marks go onto them', () => {
  const store = show(withSound);
  expect(screen.queryByRole('button', { name: /beats? (a )?cues?$/ })).toBeNull();
  // Two knocks, at half a second and at one.
  const peaks = Float32Array.from({ length: 400 }, (_, i) =>
    Math.max(0.01, ...[100, 200].map((at) => (i < at ? 0 : Math.exp(-0.1 * (i - at))))),
  );
  act(() => setSoundState({ status: 'ready', wave: { perSecond: 200, peaks, startSeconds: 0.25 } }));
  fireEvent.press(screen.getByRole('button', { name: 'Make 2 beats cues' }));
  expect(shotOn(store).cues.map(({ seconds }) => seconds)).toEqual([0.75, 1.25]);
  // Again it adds none.
  fireEvent.press(screen.getByRole('button', { name: 'Make 2 beats cues' }));
  expect(shotOn(store).cues).toHaveLength(2);
  fireEvent.press(screen.getByRole('button', { name: 'Put marks on the cues' }));
  expect(shotOn(store).moves[0]!.marks.map(({ frame }) => frame)).toEqual([1, 10, 16, 21]);
  act(() => setSoundState({ status: 'none', wave: null }));
});

test('a cue goes to another frame by its number', () => {
  const store = show(edits.addCues(straightShot(), { cues: [{ seconds: 1, word: 'thud' }] }));
  fireEvent.changeText(screen.getByLabelText('Frame of “thud”'), '7');
  fireEvent(screen.getByLabelText('Frame of “thud”'), 'blur');
  expect(shotOn(store).cues).toMatchObject([{ seconds: 0.5, word: 'thud' }]);
});
