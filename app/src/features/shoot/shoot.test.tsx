import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { screen } from '@testing-library/react-native';
import { NextGroup } from './NextGroup';
import { deviationText } from './Replanning';
import { size } from './next';
import { StandsGroup } from './StandsGroup';
import { goTo, setRange } from '../../playback/playhead';
import { benchWith, renderOn } from '../../testing/bench';

const PICTURE = { sha256: 'a'.repeat(64), type: 'image/png', name: 'p', width: 16, height: 9 } as const;

/** 300 mm across a set of 400 mm, 15 mm a frame. @param taken pictures that were taken */
function set(taken: number): Shot {
  const options = { name: 'Set', rate: 12, lengthFrames: 21, width: 1600, height: 900 };
  const empty = freshShot({ ...options, widthMm: 400, rulerStep: 0.5 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([200, 1400].map((x) => ({ x, y: 500 }))) });
  const { id: moveId, marks } = drawn.moves[0]!;
  const even = edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
  return Array.from({ length: taken }).reduce<Shot>(
    (shot) => edits.takePicture(shot, { picture: PICTURE }),
    even,
  );
}

beforeEach(() => {
  setRange({ lengthFrames: 21, rate: 12, loops: true });
  goTo(4);
});

test('the next increment is written large, with where it leads and how many are left', () => {
  renderOn(benchWith(set(3), 'shoot'), <NextGroup />);
  expect(screen.getByTestId('next-along')).toHaveTextContent('15.0');
  expect(screen.getByTestId('next-ways')).toHaveTextContent('→ 15.0');
  expect(screen.getByText('18 to go')).toBeTruthy();
  expect(screen.queryByTestId('replanning')).toBeNull();
});

test('before the first picture it is put at the start, and nothing can be skipped', () => {
  renderOn(benchWith(set(0), 'shoot'), <NextGroup />);
  expect(screen.getByText('Put it at the start')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Skip' })).toBeDisabled();
});

test('without a picture nothing can be told of; with one the measured step is the planned one', () => {
  const { unmount } = renderOn(benchWith(set(0), 'shoot'), <StandsGroup />);
  expect(screen.getByText(/Take a picture first/)).toBeTruthy();
  unmount();
  renderOn(benchWith(set(3), 'shoot'), <StandsGroup />);
  expect(screen.getByLabelText('Measured step, mm').props.value).toBe('15');
});

test.each([
  [{ along: 0.6, across: -0.3 }, '0.6 mm ahead · 0.3 mm left'],
  [{ along: -2, across: 0.01 }, '2.0 mm behind'],
  [{ along: 0.04, across: -0.04 }, 'on the plan'],
])('%j is said as “%s”', (deviation, text) => {
  expect(deviationText(deviation, 'mm')).toBe(text);
});

test('a number has as many decimals as the ruler has', () => {
  expect(size(-4.5, 0.5)).toBe('4.5');
  expect(size(4.25, 0.05)).toBe('4.25');
  expect(size(4.25, null)).toBe('4.3');
});
