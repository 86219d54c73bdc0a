import { textScale } from '../../ui/textScale';
import { transportWords as words } from '../../words/transport';
/** A letter of Spline Sans Mono is so much of its size wide. */
const ADVANCE = 0.6;
const SIZES = { title: 20, small: 14, tiny: 12 } as const;

const widthOf = (letters: number, size: keyof typeof SIZES): number =>
  letters * ADVANCE * SIZES[size] * textScale();

export interface CountRoom {
  /** How large the number of frames is written beside the frame; null where there is no room for it. */
  readonly total: 'small' | 'tiny' | null;
  readonly showsRate: boolean;
  /** Free pixels beside the longest line. */
  readonly free: number;
}

/**
 * What of frame, number of frames, seconds and rate can be written in so many pixels. It goes by the last frame,
 * so that nothing comes and goes while frames pass.
 * @param seconds of the last frame, and the rate, as they are written
 */
export function countRoom(room: number, lengthFrames: number, seconds: string, rate: string): CountRoom {
  const digits = String(lengthFrames).length;
  const frame = widthOf(digits, 'title');
  const besides = (size: 'small' | 'tiny'): number =>
    frame + widthOf(words.ofFrames(lengthFrames).length, size);
  const total = (['small', 'tiny'] as const).find((size) => besides(size) <= room) ?? null;
  const withRate = widthOf(`${seconds} s at ${rate}`.length, 'tiny');
  const showsRate = withRate <= room;
  const lines = [
    total ? besides(total) : frame,
    showsRate ? withRate : widthOf(`${seconds} s`.length, 'tiny'),
  ];
  return { total, showsRate, free: Math.max(0, room - Math.max(...lines)) };
}
