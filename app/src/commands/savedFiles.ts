import type { MovingFormat, StillKind } from '../workers/preview';

/** A kind of file that can be saved: exports of the core say the same of themselves. */
export interface SavedFileKind {
  readonly ending: string;
  readonly mimeType: string;
}

/** What a preview can be saved as. A kind that is missing does not compile. */
export const PREVIEW_FILES: Readonly<Record<MovingFormat | StillKind | 'strobeSvg', SavedFileKind>> = {
  png: { ending: '-frames.zip', mimeType: 'application/zip' },
  apng: { ending: '.png', mimeType: 'image/apng' },
  gif: { ending: '.gif', mimeType: 'image/gif' },
  webm: { ending: '.webm', mimeType: 'video/webm' },
  mp4: { ending: '.mp4', mimeType: 'video/mp4' },
  strobe: { ending: '-strobe.png', mimeType: 'image/png' },
  contact: { ending: '-contact.png', mimeType: 'image/png' },
  strobeSvg: { ending: '-strobe.svg', mimeType: 'image/svg+xml' },
};

export const sheetFile = (sheet: string): SavedFileKind => ({
  ending: `-${sheet}.pdf`,
  mimeType: 'application/pdf',
});

/** What in-betweens can be saved as besides their PDF. */
export const INBETWEEN_FILES = {
  png: { ending: '-inbetweens-png.zip', mimeType: 'application/zip' },
  svg: { ending: '-inbetweens-svg.zip', mimeType: 'application/zip' },
} as const satisfies Readonly<Record<string, SavedFileKind>>;

/** What a film can be saved as. */
export const FILM_FILES = {
  film: { ending: '.zip', mimeType: 'application/zip' },
  pace: { ending: '-pace.csv', mimeType: 'text/csv' },
} as const satisfies Readonly<Record<string, SavedFileKind>>;
