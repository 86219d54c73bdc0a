import { offeredShot } from './newShotForm';
import { offeredName } from './offeredName';

test('the name that is offered is one that no shot has', () => {
  expect(offeredName([])).toBe('Shot 1');
  expect(offeredName(['Tide', 'Quay'])).toBe('Shot 3');
  expect(offeredName(['Shot 3', 'Quay', 'Shot 4'])).toBe('Shot 5');
  expect(offeredName(['Shot 3', 'Quay'])).toBe('Shot 4');
});

test('the width on the set and the step of the ruler are offered again, too', () => {
  const last = { rate: 12, length: 30, width: 1080, height: 1920, widthMm: 300, rulerStep: 0.5 };
  expect(offeredShot([], '', last)).toMatchObject({ widthMm: '300', rulerStep: '0.5' });
});

test('what was made last is offered again', () => {
  expect(offeredShot([], 'Low Tide', { rate: 23.976, length: 30, width: 1080, height: 1920 })).toEqual({
    name: 'Shot 1',
    film: 'Low Tide',
    rate: '23.976',
    widthMm: '',
    rulerStep: '',
    length: '30',
    width: '1080',
    height: '1920',
  });
});
