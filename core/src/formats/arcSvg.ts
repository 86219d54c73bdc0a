import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import { pointAtDistance } from '../arc/arcMeasure';
import { pathData } from '../arc/pathData';
import type { Arc, Mark, Shot } from '../model/schema';
import { type Tick, ticksOf } from '../spacing/ticks';
import { evaluate, type Travel } from '../motion/evaluate';
import { escapedXml } from './escapedXml';
import { figuresSvg } from './figuresSvg';
import { LINE_SHARE, TICK_COLOUR, ticksByLength } from './tickLines';

/** Sizes as shares of the field's height, so that they look alike in every field. */
const POST_SHARE = 0.03;
const TEXT_SHARE = 0.022;
/** A pass is open about the arc by this share of its post. */
const OPEN_SHARE = 0.25;
const DIGITS = 3;

const n = (value: number): string => String(Number(value.toFixed(DIGITS)) + 0);

const layer = (id: string, attributes: string, content: readonly string[]): string =>
  `<g id="${id}" ${attributes}>${content.map((line) => `\n    ${line}`).join('')}\n  </g>`;

function postOf(arc: Arc, arcLength: number, { fraction }: Mark) {
  const { x, y, headingDeg } = pointAtDistance(arc, fraction * arcLength);
  const radians = (headingDeg * Math.PI) / 180;
  return { x, y, acrossX: -Math.sin(radians), acrossY: Math.cos(radians) };
}

/** A post across the arc: a stop has a foot along the arc, a pass is open in its middle. */
function postPath(arc: Arc, arcLength: number, mark: Mark, half: number): string {
  const { x, y, acrossX, acrossY } = postOf(arc, arcLength, mark);
  const at = (across: number, along: number): string =>
    `${n(x + acrossX * across + acrossY * along)} ${n(y + acrossY * across - acrossX * along)}`;
  if (mark.kind === 'pass') {
    const open = half * OPEN_SHARE;
    return `M${at(-half, 0)}L${at(-open, 0)}M${at(open, 0)}L${at(half, 0)}`;
  }
  const foot = half / 3;
  return `M${at(-half, 0)}L${at(half, 0)}M${at(half, -foot)}L${at(half, foot)}`;
}

function numbersOf(
  { move, arc, arcLength }: Travel,
  ticks: readonly Tick[],
  beside: number,
  first: FirstFrameNumber,
): string[] {
  const spots = new Map(
    ticks.filter(({ isFifth }) => isFifth).map((tick) => [tick.frame, tick as Omit<Tick, 'arcDistance'>]),
  );
  for (const mark of move.marks)
    spots.set(mark.frame, { frame: mark.frame, isFifth: true, ...postOf(arc, arcLength, mark) });
  return [...spots.values()]
    .sort((a, b) => a.frame - b.frame)
    .map(
      ({ frame, x, y, acrossX, acrossY }) =>
        `<text x="${n(x - acrossX * beside)}" y="${n(y - acrossY * beside)}">${frameNumber(frame, first)}</text>`,
    );
}

/**
 * The arcs of a shot that are not hidden, as an SVG in field units: the figures on some exposures, the line, a tick for
 * every exposure, a post for every mark, and frame numbers, each a layer of its own. Where the field has a scale, the drawing
 * has its true size in millimetres.
 */
export function arcSvg(shot: Shot, first: FirstFrameNumber = 1): string {
  const { width, height, unitsPerMm } = shot.field;
  const travels = evaluate(shot).travels.filter(({ arc }) => !arc.hidden);
  const size = (units: number): string => (unitsPerMm === null ? n(units) : `${n(units / unitsPerMm)}mm`);
  const line = height * LINE_SHARE;
  const ticks = travels.map((travel) => ticksOf(travel, shot));
  const tickPaths = ticks.map((all) => `<path d="${ticksByLength(all, height)}"/>`);
  const posts = travels.map(({ move, arc, arcLength }) => {
    const d = move.marks.map((mark) => postPath(arc, arcLength, mark, height * POST_SHARE));
    return `<path d="${d.join('')}"/>`;
  });
  const numbers = travels.flatMap((travel, i) =>
    numbersOf(travel, ticks[i]!, height * (POST_SHARE + TEXT_SHARE), first),
  );
  const arcs = shot.arcs
    .filter(({ hidden }) => !hidden)
    .map((arc) => `<path d="${pathData(arc, DIGITS)}"><title>${escapedXml(arc.name)}</title></path>`);
  const { looks, figures } = figuresSvg(shot, first);
  const scale = unitsPerMm === null ? 'Field units.' : `Field units, ${n(unitsPerMm)} to a millimetre.`;
  const stroke = (share: number): string =>
    `fill="none" stroke="${TICK_COLOUR}" stroke-width="${n(line * share)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size(width)}" height="${size(height)}" viewBox="0 0 ${n(width)} ${n(height)}">
  <title>${escapedXml(shot.name)}</title>
  <desc>${scale}</desc>
  <defs>${looks.join('')}</defs>
  ${layer('figures', `fill="#23252A" fill-opacity="0.12" stroke="#23252A" stroke-opacity="0.6" stroke-width="${n(line)}"`, figures)}
  ${layer('arc', stroke(1.5), arcs)}
  ${layer('ticks', stroke(1), tickPaths)}
  ${layer('posts', stroke(2), posts)}
  ${layer('numbers', `fill="#23252A" font-family="monospace" font-size="${n(height * TEXT_SHARE)}" text-anchor="middle" dominant-baseline="central"`, numbers)}
</svg>
`;
}
