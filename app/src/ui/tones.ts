import { colour } from './colour';

/** The colours of the tones that stand-ins are drawn in. */
export const TONES = { ink: colour.ink, paper: colour.field, brass: colour.brass } as const;
