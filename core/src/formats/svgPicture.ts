import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { ShotError } from '../errors';

/** Elements that run something, or bring in what is not a drawing. */
const UNWANTED = new Set([
  'script',
  'foreignobject',
  'iframe',
  'object',
  'embed',
  'audio',
  'video',
  'handler',
]);
/** Pictures that may lie inside a drawing, written out in full. */
const INLINE_PICTURE = /^data:image\/(png|jpeg|webp|gif);base64,/i;
const MOST_ELEMENTS = 200_000;

export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

const refuse = (what: string): never => {
  throw new ShotError('invalid-picture', `This SVG ${what}. Save it as a plain drawing, or as PNG.`);
};

/** True when a reference leads out of the drawing. */
const leadsOut = (reference: string): boolean => {
  const target = reference.trim();
  return target !== '' && !target.startsWith('#') && !INLINE_PICTURE.test(target);
};

/** True when a style fetches something: an import, or an address other than a part of this drawing. */
function fetches(style: string): boolean {
  // Escapes and comments could hide the word.
  const plain = style.replace(/\/\*[\s\S]*?\*\//g, '').toLowerCase();
  if (plain.includes('\\') || plain.includes('@import') || plain.includes('expression(')) return true;
  return [...plain.matchAll(/url\(\s*['"]?([^'")]*)/g)].some(([, target]) => leadsOut(target!));
}

const lengthOf = (text: string | undefined): number | null => {
  const [, number, unit] = /^\s*([\d.]+(?:e[+-]?\d+)?)\s*(px)?\s*$/i.exec(text ?? '') ?? [];
  const value = Number(number);
  return number !== undefined && (unit === undefined || unit) && value > 0 ? value : null;
};

function sizeOf(attributes: Readonly<Record<string, string>>): PictureSize | null {
  const [width, height] = [lengthOf(attributes.width), lengthOf(attributes.height)];
  if (width && height) return { width, height };
  const box = (attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [, , boxWidth, boxHeight] = box;
  return boxWidth! > 0 && boxHeight! > 0 ? { width: boxWidth!, height: boxHeight! } : null;
}

/**
 * The size of an SVG that is a drawing and nothing else, in its pixels. Nothing in it is run or fetched.
 * @throws ShotError `invalid-picture` with a sentence when it has script, refers to something outside, is
 *   not whole, or has no size
 */
export function checkSvgPicture(text: string): PictureSize {
  let size: PictureSize | null = null;
  let depth = 0;
  let elements = 0;
  const parser = new SaxesParser();
  parser.on('error', () => refuse('is not whole'));
  parser.on('doctype', (doctype) => {
    if (/\[|ENTITY/i.test(doctype)) refuse('defines entities of its own');
  });
  parser.on('processinginstruction', ({ target }) => {
    if (/stylesheet/i.test(target)) refuse('refers to a style sheet outside');
  });
  let inStyle = false;
  const readStyle = (style: string): void => {
    if (fetches(style)) refuse('refers to something outside');
  };
  parser.on('opentag', (tag: SaxesTagPlain) => {
    const name = tag.name.replace(/^.*:/, '').toLowerCase();
    const attributes = tag.attributes as Record<string, string>;
    if (depth++ === 0) {
      if (name !== 'svg') refuse('is not a drawing');
      size = sizeOf(attributes);
    }
    if (++elements > MOST_ELEMENTS) refuse('has too many parts');
    if (UNWANTED.has(name))
      refuse(name === 'script' ? 'has a script in it' : 'has something in it that is no drawing');
    inStyle = name === 'style';
    for (const [full, value] of Object.entries(attributes)) {
      const attribute = full.replace(/^.*:/, '').toLowerCase();
      if (attribute.startsWith('on')) refuse('has a script in it');
      if (/^\s*javascript:/i.test(value)) refuse('has a script in it');
      if ((attribute === 'href' || attribute === 'src') && leadsOut(value))
        refuse('refers to something outside');
      if (attribute === 'style' || value.includes('url(')) readStyle(value);
    }
  });
  parser.on('closetag', () => {
    depth--;
    inStyle = false;
  });
  const read = (part: string): void => {
    if (inStyle) readStyle(part);
  };
  parser.on('text', read);
  parser.on('cdata', read);
  parser.write(text.replace(/^\uFEFF/, '')).close();
  return size ?? refuse('does not say how large it is');
}
