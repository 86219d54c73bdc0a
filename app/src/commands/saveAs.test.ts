import { EXPORTERS } from '@humble/core/files';
import { saveFile } from '../ui/files';
import { saveAs } from './saveAs';
import { FILM_FILES, PREVIEW_FILES, sheetFile } from './savedFiles';

jest.mock('../ui/files', () => ({ saveFile: jest.fn() }));

test('a file is named by its shot, in letters that every system takes', () => {
  const saved = saveAs('Crab’s détour / 2', PREVIEW_FILES.gif, 'bytes');
  expect(saved).toEqual({ name: 'crab-s-detour-2.gif', content: 'bytes', mimeType: 'image/gif' });
  expect(saveFile).toHaveBeenCalledWith('crab-s-detour-2.gif', 'bytes', 'image/gif');
});

test('no two kinds of files of a shot are named alike, and an ending fits what it is', () => {
  const kinds = [
    ...Object.values(PREVIEW_FILES),
    ...EXPORTERS,
    sheetFile('track'),
    ...Object.values(FILM_FILES),
  ];
  const endings = kinds.map(({ ending }) => ending);
  // The strobe picture as SVG and the film as ZIP are offered in two places each.
  const twice = endings.filter((ending, i) => endings.indexOf(ending) !== i);
  expect(twice.sort()).toEqual(['-strobe.svg', '.zip']);
  for (const { ending, mimeType } of kinds) {
    const extension = ending.split('.').pop()!;
    const expected =
      { svg: 'svg', png: 'png', json: 'json', pdf: 'pdf', csv: 'csv', zip: 'zip' }[extension] ?? extension;
    expect(mimeType).toContain(expected);
  }
});
