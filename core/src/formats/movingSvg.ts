import type { Backdrop, Shot } from '../model/schema';
import { coveredOn } from '../motion/cameraView';
import { planesOf } from '../motion/scene';
import { lookOf } from '../motion/look';
import { cameraStates, type PartState, type PartTrack, partTracks } from '../motion/partTracks';
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

/** What is seen through the camera moves against it: shifted to its middle, sized and turned back. */
function throughCamera(shot: Shot, inner: string, distance: number): string {
  const states = cameraStates(shot);
  const [first] = states ?? [];
  if (!states || !first || inner === '') return inner;
  const { width, height } = shot.field;
  const timing: Timing = {
    seconds: shot.lengthFrames / shot.rate,
    keyTimes: states.map(({ frame }) => Number(((frame - 1) / shot.lengthFrames).toFixed(9))).join(';'),
  };
  const seen = states.map((state) => {
    const covered = coveredOn(state, shot.field, distance);
    return {
      turn: n(-covered.turnDeg),
      size: n(covered.width > 0 ? width / covered.width : 0),
      shift: `${n(-covered.x)} ${n(-covered.y)}`,
    };
  });
  const group = (
    type: 'rotate' | 'scale' | 'translate',
    values: readonly string[],
    content: string,
  ): string =>
    `<g transform="${type}(${values[0]!})">${stepped('animateTransform', `attributeName="transform" type="${type}"`, values, timing)}${content}</g>`;
  const shifted = group(
    'translate',
    seen.map(({ shift }) => shift),
    inner,
  );
  const sized = group(
    'scale',
    seen.map(({ size }) => size),
    shifted,
  );
  const turned = group(
    'rotate',
    seen.map(({ turn }) => turn),
    sized,
  );
  return `<g transform="translate(${n(width / 2)} ${n(height / 2)})">${turned}</g>`;
}

function planeSvg(plane: Backdrop, source: PictureSource): string {
  const picture = plane.pictures[0]!;
  const href = source(picture);
  if (!href) return '';
  const height = (plane.width * picture.height) / picture.width;
  return `<g transform="translate(${n(plane.x)} ${n(plane.y)}) rotate(${n(plane.turnDeg)})" opacity="${n(plane.strength)}"><image href="${escapedXml(href)}" x="${n(-plane.width / 2)}" y="${n(-height / 2)}" width="${n(plane.width)}" height="${n(height)}" preserveAspectRatio="none"/></g>`;
}

/**
 * A shot as an SVG that moves by itself in a browser, for as long as it is seen: every figure and part on every exposure
 * where the evaluation has it. Of a sequence of backdrops the first picture is shown; a bent picture is its outline.
 */
export function movingSvg(
  shot: Shot,
  { withBackdrop = true, ground = 'paper', width = shot.field.width, source }: SceneOptions,
): string {
  const { field } = shot;
  const height = Math.round((width * field.height) / field.width);
  const fill = GROUNDS[ground];
  const planes = withBackdrop ? planesOf(shot) : [];
  const seen = (isBehind: boolean): readonly string[] =>
    planes
      .filter(({ distance }) => distance >= 1 === isBehind)
      .map((plane) => throughCamera(shot, planeSvg(plane, source), plane.distance));
  const parts = partTracks(shot).map((track) => {
    const part = partSvg(track, shot, source);
    return track.isFixedToCamera ? part : throughCamera(shot, part, 1);
  });
  const drawn = [...seen(true), ...parts, ...seen(false)].filter((one) => one !== '');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}" height="${n(height)}" viewBox="0 0 ${n(field.width)} ${n(field.height)}">
<title>${escapedXml(shot.name)}</title>
${fill ? `<rect width="${n(field.width)}" height="${n(field.height)}" fill="${fill}"/>\n` : ''}${drawn.join('\n')}
</svg>
`;
}
