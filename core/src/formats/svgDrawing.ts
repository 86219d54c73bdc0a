import { SaxesParser, type SaxesTagPlain } from 'saxes';
import SvgPath from 'svgpath';
import type { Cubic } from '../arc/cubic';
import { applyTo, compose, IDENTITY, type Transform } from '../arc/transform';
import { ShotError } from '../model/errors';
import { svgPixels } from './svgLength';
import { isWithinReach, readPathData, type SubPath } from './svgPathData';

export interface DrawnPath extends SubPath {
  readonly name: string;
}

/** What is in these is not drawn where it stands. */
const NOT_DRAWN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'metadata',
  'style',
  'script',
]);

function matrixOf(text: string | undefined): Transform {
  if (!text) return IDENTITY;
  const corners: { x: number; y: number }[] = [];
  SvgPath.from('M0 0L1 0L0 1')
    .transform(text)
    .iterate(([, x, y]: [string, ...number[]]) => {
      corners.push({ x: x!, y: y! });
    });
  const [origin, right, down] = corners as [(typeof corners)[0], (typeof corners)[0], (typeof corners)[0]];
  return {
    a: right.x - origin.x,
    b: right.y - origin.y,
    c: down.x - origin.x,
    d: down.y - origin.y,
    e: origin.x,
    f: origin.y,
  };
}

/** How an outermost drawing's coordinates come to lie in its pixels: its view box, fitted and centred. */
function viewBoxMatrix(attributes: Attributes): Transform {
  const box = (attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [left, top, width, height] = box as [number, number, number, number];
  if (box.length !== 4 || !box.every(Number.isFinite) || width <= 0 || height <= 0) return IDENTITY;
  const [wide, high] = [svgPixels(attributes.width), svgPixels(attributes.height)];
  const across = wide !== null && wide > 0 ? wide / width : null;
  const down = high !== null && high > 0 ? high / height : null;
  if (attributes.preserveAspectRatio?.trim() === 'none')
    return { a: across ?? 1, b: 0, c: 0, d: down ?? 1, e: -left * (across ?? 1), f: -top * (down ?? 1) };
  const scale = Math.min(across ?? down ?? 1, down ?? across ?? 1);
  const room = (total: number | null, used: number): number =>
    total === null ? 0 : (total - used * scale) / 2;
  return {
    a: scale,
    b: 0,
    c: 0,
    d: scale,
    e: room(wide, width) - left * scale,
    f: room(high, height) - top * scale,
  };
}

type Attributes = Readonly<Record<string, string>>;

const number = (attributes: Attributes, name: string): number => svgPixels(attributes[name]) ?? 0;

function outlineOf(name: string, attributes: Attributes): string | null {
  const n = (key: string): number => number(attributes, key);
  const round = (cx: number, cy: number, rx: number, ry: number): string | null =>
    rx > 0 && ry > 0
      ? `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}Z`
      : null;
  switch (name) {
    case 'path':
      return attributes.d?.trim() ? attributes.d : null;
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const places = attributes.points?.trim();
      return places ? `M${places}${name === 'polygon' ? 'Z' : ''}` : null;
    }
    case 'circle':
      return round(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return round(n('cx'), n('cy'), n('rx'), n('ry'));
    case 'rect':
      return rectangle(n('x'), n('y'), n('width'), n('height'), attributes);
    default:
      return null;
  }
}

function rectangle(x: number, y: number, w: number, h: number, attributes: Attributes): string | null {
  if (!(w > 0 && h > 0)) return null;
  const [givenX, givenY] = [svgPixels(attributes.rx), svgPixels(attributes.ry)];
  const rx = Math.min(w / 2, Math.max(0, givenX ?? givenY ?? 0));
  const ry = Math.min(h / 2, Math.max(0, givenY ?? givenX ?? 0));
  if (rx === 0 || ry === 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
  const turn = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}h${w - 2 * rx}${turn(rx, ry)}v${h - 2 * ry}${turn(-rx, ry)}h${2 * rx - w}${turn(-rx, -ry)}v${2 * ry - h}${turn(rx, -ry)}Z`;
}

const mapped = ({ start, control1, control2, end }: Cubic, m: Transform): Cubic => ({
  start: applyTo(m, start),
  control1: applyTo(m, control1),
  control2: applyTo(m, control2),
  end: applyTo(m, end),
});

const NAMES: Readonly<Record<string, string>> = {
  path: 'Path',
  line: 'Line',
  polyline: 'Polyline',
  polygon: 'Polygon',
  circle: 'Circle',
  ellipse: 'Ellipse',
  rect: 'Rectangle',
};

/**
 * The paths of an SVG drawing with their transforms and view box worked out, in its pixels. Basic shapes
 * count as paths; what is only defined, or hidden, does not. Nothing in the file is run or fetched.
 * @throws ShotError `invalid-svg` or `invalid-path` with a sentence
 */
export function readSvgDrawing(text: string): readonly DrawnPath[] {
  const found: DrawnPath[] = [];
  const matrices: Transform[] = [];
  let notDrawn = 0;
  let isSvg = false;
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw new ShotError('invalid-svg', `This SVG is incomplete: ${placeOf(error.message)}.`);
  });
  const openTag = (tag: SaxesTagPlain): void => {
    const name = tag.name.replace(/^.*:/, '');
    const attributes = tag.attributes as Attributes;
    if (matrices.length === 0) {
      isSvg = name === 'svg';
      matrices.push(isSvg ? viewBoxMatrix(attributes) : IDENTITY);
      return;
    }
    const matrix = compose(matrixOf(attributes.transform), matrices[matrices.length - 1]!);
    matrices.push(matrix);
    const isHidden = attributes.display === 'none' || /display\s*:\s*none/.test(attributes.style ?? '');
    if (notDrawn > 0 || NOT_DRAWN.has(name) || isHidden) {
      notDrawn++;
      return;
    }
    const outline = outlineOf(name, attributes);
    if (outline === null) return;
    const parts = readPathData(outline);
    parts.forEach(({ cubics, closed }, i) => {
      const own = attributes.id ?? `${NAMES[name]} ${found.length + 1}`;
      const placed = cubics.map((cubic) => mapped(cubic, matrix));
      if (!placed.every(isWithinReach))
        throw new ShotError('invalid-svg', `${own} leads too far outside the drawing`);
      found.push({
        name: parts.length > 1 && attributes.id ? `${own}, part ${i + 1}` : own,
        closed,
        cubics: placed,
      });
    });
  };
  parser.on('opentag', (tag) => {
    try {
      openTag(tag as SaxesTagPlain);
    } catch (error) {
      if (!(error instanceof ShotError)) throw error;
      const what = error.message.replace(/^This isn’t path data: /, '').replace(/\.$/, '');
      throw new ShotError('invalid-svg', `This SVG cannot be read: in line ${parser.line}, ${what}.`);
    }
  });
  parser.on('closetag', () => {
    matrices.pop();
    if (notDrawn > 0) notDrawn--;
  });
  parser.write(text.replace(/^\uFEFF/, '')).close();
  if (!isSvg) throw new ShotError('invalid-svg', 'This file is not an SVG drawing.');
  if (found.length === 0) throw new ShotError('invalid-svg', 'There is no path in this drawing.');
  return found;
}

function placeOf(message: string): string {
  const [, line] = /^(\d+):/.exec(message) ?? [];
  return line ? `it goes wrong in line ${line}` : 'it breaks off';
}
