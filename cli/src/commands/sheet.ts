import { writeExposureSheetCsv } from '@humble/core/files';
import { said } from '../answer';
import { defineCommand, OUT, shotOf, TAKE } from '../command';
import { UsageError } from '../usageError';

export default defineCommand({
  options: { ...OUT, ...TAKE, csv: { type: 'boolean' } },
  run: (paths, values) => {
    const { shot } = shotOf('sheet', paths, values);
    if (!values.csv) throw new UsageError('An exposure sheet is a table: say sheet SHOT.json --csv.');
    return said(writeExposureSheetCsv(shot));
  },
});
