import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Ladder, LadderEnd } from '../spacing/ladder';
import { escapedXml } from './escapedXml';

const WIDTH = 240;
const RAIL = 110;
const KEY_HALF = 26;
const RUNG_HALF = 15;
const MARGIN = 40;
/** A drawing gets so much of the height, within what a page can show. */
const ROOM_EACH = 26;
const MIN_LENGTH = 160;
const MAX_LENGTH = 900;
/** Numbers closer than this would lie over each other. */
const MIN_DISTANCE = 12;

const n = (value: number): string => String(Math.round(value * 100) / 100);

export function ladderSvg(
  { from, to, rungs }: Ladder<LadderEnd>,
  title: string,
  first: FirstFrameNumber = 1,
): string {
  const length = Math.min(MAX_LENGTH, Math.max(MIN_LENGTH, (rungs.length + 1) * ROOM_EACH));
  const shares = [0, 1, ...rungs.map(({ share }) => share)];
  const [least, most] = [Math.min(...shares), Math.max(...shares)];
  const top = MARGIN - least * length;
  const height = (most - least) * length + 2 * MARGIN;
  const at = (share: number): number => top + share * length;
  const lines = [`<path d="M${RAIL} ${n(at(least))}V${n(at(most))}"/>`];
  const texts: string[] = [];
  const write = (share: number, frame: number, beside: string, attributes = ''): void => {
    const y = n(at(share) + 4);
    texts.push(
      `<text x="${RAIL - KEY_HALF - 8}" y="${y}" text-anchor="end"${attributes}>${frameNumber(frame, first)}</text>`,
    );
    if (beside)
      texts.push(`<text x="${RAIL + KEY_HALF + 8}" y="${y}"${attributes}>${escapedXml(beside)}</text>`);
  };
  const key = ({ frame, label }: LadderEnd, share: number): void => {
    lines.push(`<path d="M${RAIL - KEY_HALF} ${n(at(share))}h${2 * KEY_HALF}" stroke-width="2.5"/>`);
    write(share, frame, label, ' font-weight="bold"');
  };
  key(from, 0);
  key(to, 1);
  const written = [at(0), at(1)];
  for (const { frame, share } of rungs) {
    const y = at(share);
    lines.push(`<path d="M${RAIL - RUNG_HALF} ${n(y)}h${2 * RUNG_HALF}"/>`);
    if (written.some((other) => Math.abs(other - y) < MIN_DISTANCE)) continue;
    written.push(y);
    write(share, frame, `${n(share * 100)} %`);
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${n(height)}" viewBox="0 0 ${WIDTH} ${n(height)}" role="img">
<title>${escapedXml(title)}</title>
<rect width="100%" height="100%" fill="#fff"/>
<g stroke="#23252A" stroke-width="1.25">
${lines.join('\n')}
</g>
<g fill="#23252A" font-family="'Spline Sans Mono', monospace" font-size="12">
${texts.join('\n')}
</g>
</svg>
`;
}
