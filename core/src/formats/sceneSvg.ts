import type { Picture, Shot } from '../model/schema';
import { svgMatrix } from '../motion/look';
import type { SceneItem } from '../motion/scene';
import type { Tone } from '../motion/standIns';
import { escapedXml } from './escapedXml';

/** Colours of stand-ins outside the application, where there is no theme. */
export const TONE_COLOURS: Readonly<Record<Tone, string>> = {
  ink: '#23252A',
  paper: '#FFFFFF',
  brass: '#8F6413',
};

/** Where a picture's bytes are, as an address or as data; null where they are not known. */
export type PictureSource = (picture: Picture) => string | null;

export type Ground = 'paper' | 'black' | 'transparent';

export const GROUNDS: Readonly<Record<Ground, string | null>> = {
  paper: '#FFFFFF',
  black: '#000000',
  transparent: null,
};

const n = (value: number): string => String(Number(value.toFixed(3)) + 0);

const faded = (opacity: number): string => (opacity < 1 ? ` opacity="${n(opacity)}"` : '');

function itemSvg(item: SceneItem, source: PictureSource, name: string): string {
  const placed = `transform="${svgMatrix(item.placement)}"${faded(item.opacity)}`;
  if (item.kind === 'shape')
    return `<g ${placed}>${item.paths.map(({ d, tone }) => `<path d="${d}" fill="${TONE_COLOURS[tone]}"/>`).join('')}</g>`;
  if (item.kind === 'outline')
    return `<path d="${item.d}" fill="none" stroke="${TONE_COLOURS.ink}" stroke-width="${n(item.width)}" ${placed}/>`;
  const { picture, slice, outline } = item;
  const href = source(picture);
  if (href === null)
    return outline
      ? `<path d="${outline.d}" fill="${TONE_COLOURS.ink}" transform="${svgMatrix(outline.placement)}"${faded(item.opacity)}/>`
      : '';
  const image = `<image href="${escapedXml(href)}" width="${n(picture.width)}" height="${n(picture.height)}" preserveAspectRatio="none"`;
  if (!slice) return `${image} ${placed}/>`;
  const clip = `<clipPath id="${name}"><rect x="${n(slice.from)}" width="${n(slice.width)}" height="${n(picture.height)}"/></clipPath>`;
  return `<g ${placed}>${clip}${image} clip-path="url(#${name})"/></g>`;
}

export interface SceneOptions {
  readonly withBackdrop?: boolean;
  readonly ground?: Ground;
  /** Pixels, or units with a name behind them; those of the field without it. */
  readonly width?: number;
  readonly source: PictureSource;
}

/** Several scenes one over the other, in a field. @param scenes those at the back first @param over SVG on top */
export function scenesSvg(
  { field, name }: Pick<Shot, 'field' | 'name'>,
  scenes: readonly (readonly SceneItem[])[],
  { ground = 'paper', width = field.width, source }: Omit<SceneOptions, 'withBackdrop'>,
  over = '',
): string {
  const height = Math.round((width * field.height) / field.width);
  const fill = GROUNDS[ground];
  const paper = fill ? `<rect width="${n(field.width)}" height="${n(field.height)}" fill="${fill}"/>` : '';
  const items = scenes.flatMap((scene, i) => scene.map((item, k) => itemSvg(item, source, `clip${i}-${k}`)));
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}" height="${n(height)}" viewBox="0 0 ${n(field.width)} ${n(field.height)}">
<title>${escapedXml(name)}</title>
${paper}${[...items, over].join('\n')}
</svg>
`;
}
