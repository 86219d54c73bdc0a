import { fetchAhead } from './fetchAhead';

test('a part is fetched once, and again only when that failed', async () => {
  let isAway = true;
  const load = jest.fn(() => (isAway ? Promise.reject(new Error('no network')) : Promise.resolve('part')));
  const part = fetchAhead(load);
  await expect(part()).rejects.toThrow('this part of the page hasn’t loaded yet');
  isAway = false;
  await expect(Promise.all([part(), part()])).resolves.toEqual(['part', 'part']);
  expect(load).toHaveBeenCalledTimes(2);
});
