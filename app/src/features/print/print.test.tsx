import { edits, freshShot } from '@humble/core';
import { printPages } from '@humble/core/print';
import { fireEvent, screen } from '@testing-library/react-native';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { printWords as words } from '../../words/print';
import { PrintDialog } from './PrintDialog';

const shownOf = (shot: Parameters<typeof benchWith>[0]) =>
  renderOn(benchWith(shot), <PrintDialog onClose={() => undefined} />);

test('with a scale the track is shown first, at as many pages as the core lays out', () => {
  const shot = edits.setScale(straightShot(), { unitsPerMm: 0.1, units: 'mm' });
  shownOf(shot);
  const { count } = printPages(shot, { sheet: 'track', paper: 'a4', across: null });
  expect(count).toBeGreaterThan(1);
  expect(screen.getByText(words.about.track)).toBeTruthy();
  expect(screen.getByText(words.pageOf(1, count))).toBeTruthy();
  fireEvent.press(screen.getByLabelText(words.after));
  expect(screen.getByText(words.pageOf(2, count))).toBeTruthy();
});

test('without a scale it is the charts, and a shot without any says so in a sentence', () => {
  shownOf(straightShot());
  expect(screen.getByText(words.about.ladder)).toBeTruthy();
  screen.unmount();
  shownOf(freshShot({ name: 'Empty', rate: 24, lengthFrames: 24, width: 1920, height: 1080 }));
  expect(screen.getByRole('alert')).toBeTruthy();
  expect(screen.queryByText(words.save)).toBeNull();
});
