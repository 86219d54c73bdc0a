import type { Shot } from '../model/schema';
import { lookOf } from '../motion/look';
import { type PartState, type PartTrack, partTracks } from '../motion/partTracks';
import { escapedXml } from './escapedXml';
import { GROUNDS, type PictureSource, type SceneOptions, TONE_COLOURS } from './sceneSvg';

const n = (value: number): string => String(Number(value.toFixed(4)) + 0);

interface Timing {
  readonly seconds: number;
  readonly keyTimes: string;
}

function stepped(
  element: string,
  attributes: string,
  values: readonly string[],
  { seconds, keyTimes }: Timing,
): string {
  if (values.every((value) => value === values[0])) return '';
  return `<${element} ${attributes} calcMode="discrete" dur="${n(seconds)}s" repeatCount="indefinite" keyTimes="${keyTimes}" values="${values.join(';')}"/>`;
}

/**
 * The way of a pivot as straight lines from exposure to exposure, and where on them it is when: what `animateMotion`
 * follows. It is exact on every exposure, wherever the figure is put.
 */
function motion(states: readonly PartState[], { seconds, keyTimes }: Timing): string {
  const way = [0];
  states.slice(1).forEach(({ x, y }, i) => {
    way.push(way[i]! + Math.hypot(x - states[i]!.x, y - states[i]!.y));
  });
  const whole = way[way.length - 1]!;
  if (whole === 0) return '';
  const path = states.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${n(x)} ${n(y)}`).join('');
  const points = way.map((s) => Number((s / whole).toFixed(9))).join(';');
  return `<animateMotion calcMode="discrete" dur="${n(seconds)}s" repeatCount="indefinite" rotate="0" path="${path}" keyPoints="${points}" keyTimes="${keyTimes}"/>`;
}

function drawingSvg(track: PartTrack, drawing: number, source: PictureSource): string {
  const { picture, silhouette, details, width, height } = lookOf(track.figure, drawing);
  const href = picture && source(picture);
  if (href)
    return `<image href="${escapedXml(href)}" width="${n(width)}" height="${n(height)}" preserveAspectRatio="none"/>`;
  const shapes = [{ d: silhouette, tone: 'ink' as const }, ...details];
  return shapes.map(({ d, tone }) => `<path d="${d}" fill="${TONE_COLOURS[tone]}"/>`).join('');
}

function partSvg(track: PartTrack, shot: Shot, source: PictureSource): string {
  const { states, flipX, flipY, frontDeg, name } = track;
  const [first] = states;
  if (!first) return '';
  const timing: Timing = {
    seconds: shot.lengthFrames / shot.rate,
    keyTimes: states.map(({ frame }) => Number(((frame - 1) / shot.lengthFrames).toFixed(9))).join(';'),
  };
  const each = (value: (state: PartState) => string): readonly string[] => states.map(value);
  const opacity = stepped(
    'animate',
    'attributeName="opacity"',
    each((state) => n(state.opacity)),
    timing,
  );
  const title = `<title>${escapedXml(name)}</title>`;
  if (first.bent !== null) {
    const shape = stepped(
      'animate',
      'attributeName="d"',
      each(({ bent }) => bent ?? ''),
      timing,
    );
    return `<g class="part" opacity="${n(first.opacity)}">${title}${opacity}<path d="${first.bent}" fill="${TONE_COLOURS.ink}">${shape}</path></g>`;
  }
  const moving = motion(states, timing);
  const at = moving === '' ? ` transform="translate(${n(first.x)} ${n(first.y)})"` : '';
  const transform = (type: 'rotate' | 'scale', value: (state: PartState) => string): string =>
    stepped('animateTransform', `attributeName="transform" type="${type}"`, each(value), timing);
  const turn = ({ headingDeg }: PartState): string => n(headingDeg);
  const size = ({ scale: { across, down } }: PartState): string => `${n(across)} ${n(down)}`;
  const drawings = [...new Set(states.map(({ drawing }) => drawing))];
  const { pivot } = lookOf(track.figure);
  const shown = drawings.map((drawing) => {
    const seen = each((state) => (state.drawing === drawing ? 'visible' : 'hidden'));
    return `<g visibility="${seen[0]}">${stepped('animate', 'attributeName="visibility"', seen, timing)}${drawingSvg(track, drawing, source)}</g>`;
  });
  return `<g class="part"${at} opacity="${n(first.opacity)}">${title}${moving}${opacity}<g transform="rotate(${turn(first)})">${transform('rotate', turn)}<g transform="scale(${flipX} ${flipY}) rotate(${n(-frontDeg)})"><g transform="scale(${size(first)})">${transform('scale', size)}<g transform="translate(${n(-pivot.x)} ${n(-pivot.y)})">${shown.join('')}</g></g></g></g></g>`;
}

/**
 * A shot as an SVG that moves by itself in a browser, for as long as it is seen: every figure and part on every exposure
 * where the evaluation has it. Of a sequence of backdrops the first picture is shown; a bent picture is its outline.
 */
export function movingSvg(
  shot: Shot,
  { withBackdrop = true, ground = 'paper', width = shot.field.width, source }: SceneOptions,
): string {
  const { field, backdrop } = shot;
  const height = Math.round((width * field.height) / field.width);
  const fill = GROUNDS[ground];
  const picture = withBackdrop && backdrop && !backdrop.hidden ? backdrop.pictures[0] : undefined;
  const href = picture && source(picture);
  const under =
    href && backdrop
      ? `<g transform="translate(${n(backdrop.x)} ${n(backdrop.y)}) rotate(${n(backdrop.turnDeg)})" opacity="${n(backdrop.strength)}"><image href="${escapedXml(href)}" x="${n(-backdrop.width / 2)}" y="${n((-backdrop.width * picture.height) / picture.width / 2)}" width="${n(backdrop.width)}" height="${n((backdrop.width * picture.height) / picture.width)}" preserveAspectRatio="none"/></g>\n`
      : '';
  const parts = partTracks(shot).map((track) => partSvg(track, shot, source));
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}" height="${n(height)}" viewBox="0 0 ${n(field.width)} ${n(field.height)}">
<title>${escapedXml(shot.name)}</title>
${fill ? `<rect width="${n(field.width)}" height="${n(field.height)}" fill="${fill}"/>\n` : ''}${under}${parts.join('\n')}
</svg>
`;
}
