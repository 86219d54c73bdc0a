import { EXPORTERS } from '@humble/core/files';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { saveAs } from '../../commands/saveAs';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { exchangeWords as words } from '../../words/exchange';
import { ColumnDialog } from './ColumnDialog';
import { ExportDialog } from './ExportDialog';

jest.mock('../../commands/saveAs', () => ({ saveAs: jest.fn() }));
const mockTake = jest.fn().mockResolvedValue(undefined);
jest.mock('./useImport', () => ({
  COLUMN_NAMES: { along: 'Along', ruler: 'Ruler' },
  useTakeTiming: () => mockTake,
}));

beforeEach(() => jest.clearAllMocks());

test('every way out of the core’s table has a button, which saves what it writes', async () => {
  const shot = straightShot();
  const onClose = jest.fn();
  renderOn(benchWith(shot), <ExportDialog onClose={onClose} />);
  for (const { label } of EXPORTERS) expect(await screen.findByLabelText(label)).toBeTruthy();
  const table = EXPORTERS.find(({ ending }) => ending.endsWith('.csv'))!;
  fireEvent.press(screen.getByLabelText(table.label));
  await waitFor(() => expect(onClose).toHaveBeenCalled());
  const [name, kind, content] = jest.mocked(saveAs).mock.calls[0]!;
  expect([name, kind]).toEqual([shot.name, table]);
  expect(content).toMatch(/frame/);
});

test('a way out that the shot lacks something for saves nothing', async () => {
  const shot = straightShot();
  renderOn(benchWith(shot), <ExportDialog onClose={() => undefined} />);
  const impossible = EXPORTERS.filter(({ isPossible }) => !isPossible(shot));
  expect(impossible.length).toBeGreaterThan(0);
  for (const { label } of impossible) fireEvent.press(await screen.findByLabelText(label));
  expect(saveAs).not.toHaveBeenCalled();
});

test('the column that is chosen is the one that the timing is taken from', () => {
  const table = {} as never;
  const onClose = jest.fn();
  const undecided = { fileName: 'crab.csv', table, columns: ['along', 'ruler'] as never };
  renderOn(benchWith(straightShot()), <ColumnDialog undecided={undecided} onClose={onClose} />);
  expect(screen.getByText(words.chooseColumnHelp('crab.csv'))).toBeTruthy();
  fireEvent.press(screen.getByText('Ruler'));
  expect(mockTake).toHaveBeenCalledWith('crab.csv', table, 'ruler');
  expect(onClose).toHaveBeenCalled();
});
