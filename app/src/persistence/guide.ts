/** A piece of a sentence; or the name of something in the interface. */
export interface GuideRun {
  readonly isName: boolean;
  readonly text: string;
}

export interface GuideStep {
  readonly text: readonly GuideRun[];
  readonly picture: { readonly file: string; readonly says: string } | null;
}

export interface GuideChapter {
  readonly id: string;
  readonly title: string;
  readonly lead: string;
  readonly steps: readonly GuideStep[];
}

/** Where the build puts the chapters of docs/guide; see scripts/build.mjs. */
const PAGES = '/guide-pages';

export const guidePicture = (file: string): string => `${PAGES}/${file}`;

/** The chapters in their order. @throws Error where they cannot be fetched */
export async function readGuide(): Promise<readonly GuideChapter[]> {
  const answer = await fetch(`${PAGES}/chapters.json`);
  if (!answer.ok) throw new Error(`the guide answers ${answer.status}`);
  return (await answer.json()) as readonly GuideChapter[];
}
