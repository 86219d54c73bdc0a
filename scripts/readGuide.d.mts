export interface GuideRun {
  /** Whether it is the name of something in the interface. */
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

/** Where its chapters lie. */
export const GUIDE: string;
export function readGuide(): readonly GuideChapter[];
