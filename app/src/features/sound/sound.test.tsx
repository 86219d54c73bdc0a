import { edits } from '@humble/core';
import { screen, waitFor } from '@testing-library/react-native';
import { openSound } from '../../playback/soundEngine';
import { useSoundStatus, useSoundWave } from '../../playback/soundWave';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { Words } from '../../ui/Words';
import { SoundPlayer } from './SoundPlayer';

jest.mock('../../playback/soundEngine', () => ({ openSound: jest.fn() }));

const withSound = () =>
  edits.setSound(straightShot(), {
    sound: {
      sha256: 'a'.repeat(64),
      name: 'knocks.wav',
      seconds: 2,
      startSeconds: -0.5,
      mimeType: 'audio/wav',
    },
  } as never);

function Told() {
  const status = useSoundStatus();
  const starts = useSoundWave()?.startSeconds;
  return <Words>{`${status} ${starts ?? '–'}`}</Words>;
}

const play = () =>
  renderOn(
    benchWith(withSound()),
    <>
      <SoundPlayer />
      <Told />
    </>,
  );

test('a sound that was fetched starts where the shot has it, and is closed with the bench', async () => {
  const engine = { wave: { perSecond: 100, peaks: new Float32Array(200) }, set: jest.fn(), close: jest.fn() };
  jest.mocked(openSound).mockResolvedValue(engine as never);
  play();
  expect(screen.getByText('loading –')).toBeTruthy();
  await waitFor(() => expect(screen.getByText('ready -0.5')).toBeTruthy());
  expect(engine.set).toHaveBeenLastCalledWith(expect.objectContaining({ startSeconds: -0.5, rate: 12 }));
  screen.unmount();
  expect(engine.close).toHaveBeenCalled();
});

test('a sound that cannot be fetched is said to have failed', async () => {
  jest.mocked(openSound).mockRejectedValue(new Error('gone'));
  play();
  await waitFor(() => expect(screen.getByText('failed –')).toBeTruthy());
});
