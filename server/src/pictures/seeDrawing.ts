import { fittedSize, ShotError } from '@humble/core';
import { svgPixels } from '@humble/core/svg';
import createDOMPurify, { type Config } from 'dompurify';
import { JSDOM } from 'jsdom';
import { SaxesParser } from 'saxes';
import type { SeenPicture } from '../threads/pictureTasks';
import { leadsOut } from './references';
import { drawnElements } from './drawnElements';
import { seeRaster } from './seeRaster';
import { isStillStyle, isStillValue } from './stillStyle';

const MOST_ELEMENTS = 200_000;
const MOST_DEPTH = 300;
const MOST_INLINE_PICTURES = 200;

const SVG = 'http://www.w3.org/2000/svg';
const XHTML = 'http://www.w3.org/1999/xhtml';
const XLINK = 'http://www.w3.org/1999/xlink';
const XML = 'http://www.w3.org/XML/1998/namespace';
const XMLNS = 'http://www.w3.org/2000/xmlns/';

const refuse = (what: string): never => {
  throw new ShotError('invalid-picture', `This SVG ${what}. Save it as a plain drawing, or as PNG.`);
};

/** Elements by which a drawing moves. */
const MOVING = ['animate', 'animatecolor', 'animatemotion', 'animatetransform', 'discard', 'mpath', 'set'];

/** The allow-list: SVG as the sanitiser has it, parts that are used again, and attributes that only shape. */
const ALLOWED: Config = {
  IN_PLACE: true,
  USE_PROFILES: { svg: true, svgFilters: true },
  ADD_TAGS: ['use'],
  FORBID_TAGS: MOVING,
  ADD_ATTR: [
    ...[
      'href',
      'paint-order',
      'vector-effect',
      'pathLength',
      'transform-origin',
      'isolation',
      'mix-blend-mode',
    ],
    ...['dominant-baseline', 'alignment-baseline', 'baseline-shift', 'text-rendering', 'overflow', 'fr'],
    ...['enable-background', 'version', 'baseProfile', 'requiredFeatures', 'systemLanguage', 'side'],
    ...['textLength', 'lengthAdjust', 'font-stretch', 'writing-mode', 'unicode-bidi', 'marker', 'font'],
  ],
};

/** An attribute whose loss changes what is drawn or says that something was tried. */
function complaintAboutAttribute(name: string): string | null {
  const plain = name.toLowerCase().replace(/^.*:/, '');
  if (plain.startsWith('on')) return 'has a script in it';
  if (plain === 'href' || plain === 'src') return 'refers to something outside';
  return plain === 'style' ? 'has a style that cannot be kept' : null;
}

const complaintAboutElement = ({ localName }: Element): string =>
  localName.toLowerCase() === 'script' ? 'has a script in it' : 'has something in it that is no drawing';

/** A cheap look before the drawing is built in memory: whole, not too deep, no entities, nothing outside. */
function lookThrough(text: string): void {
  let depth = 0;
  let elements = 0;
  const parser = new SaxesParser();
  parser.on('error', () => refuse('is not whole'));
  parser.on('doctype', (doctype) => {
    if (/\[|ENTITY/i.test(doctype)) refuse('defines entities of its own');
    if (/SYSTEM|PUBLIC/i.test(doctype) && !/"-\/\/W3C\/\/DTD SVG/i.test(doctype))
      refuse('refers to something outside');
  });
  parser.on('processinginstruction', ({ target }) => {
    if (/stylesheet/i.test(target)) refuse('refers to a style sheet outside');
  });
  parser.on('opentag', () => {
    if (++elements > MOST_ELEMENTS) refuse('has too many parts');
    if (++depth > MOST_DEPTH) refuse('has parts within parts too deep');
  });
  parser.on('closetag', () => depth--);
  parser.write(text).close();
}

/** A side that is told in pixels or in a unit of length; null for none. */
function side(root: Element, name: 'width' | 'height'): number | null {
  const length = svgPixels(root.getAttribute(name));
  return length !== null && length > 0 ? length : null;
}

function sizeOf(root: Element): { width: number; height: number } {
  const [width, height] = [side(root, 'width'), side(root, 'height')];
  const box = (root.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const told =
    width && height ? { width, height } : { width: box[2] ?? Number.NaN, height: box[3] ?? Number.NaN };
  if (!(told.width > 0 && told.height > 0)) return refuse('does not say how large it is');
  return fittedSize(told) ?? refuse('is too long and thin to be shown');
}

/**
 * Takes out what is not drawn: remarks, and what drawing programs note for themselves in names of their own.
 * @returns whether anything but remarks was taken out
 */
function withoutNotes(root: Element): boolean {
  let isChanged = false;
  const nodes: Node[] = [root];
  while (nodes.length > 0) {
    const node = nodes.pop()!;
    if (node.nodeType === 8 || node.nodeType === 7) {
      node.parentNode?.removeChild(node);
      continue;
    }
    if (node.nodeType !== 1) continue;
    const element = node as Element;
    if (element.namespaceURI === XHTML) refuse('has something in it that is no drawing');
    if (element.namespaceURI !== SVG || element.localName === 'metadata') {
      if (element === root) refuse('is not a drawing');
      element.remove();
      isChanged = true;
      continue;
    }
    for (const { namespaceURI, name } of [...element.attributes]) {
      const isNote = namespaceURI !== null && ![XLINK, XML, XMLNS].includes(namespaceURI);
      const isNameOfNotes =
        namespaceURI === XMLNS && ![SVG, XLINK, XHTML].includes(element.getAttribute(name) ?? '');
      if (!isNote && !isNameOfNotes) continue;
      element.removeAttribute(name);
      isChanged = true;
    }
    for (const child of [...element.childNodes]) nodes.push(child);
  }
  return isChanged;
}

/** Values of these are names or words, not styles. */
const WORDS = new Set(['id', 'class', 'd', 'points', 'lang', 'font-family']);

async function checkReferences(root: Element): Promise<void> {
  let inlinePictures = 0;
  for (const element of [root, ...root.querySelectorAll('*')]) {
    const name = element.localName;
    if (MOVING.includes(name.toLowerCase())) refuse('moves by itself');
    if (name === 'style') {
      if ([...element.childNodes].some(({ nodeType }) => nodeType !== 3 && nodeType !== 4))
        refuse('has a style that is in pieces');
      if (!isStillStyle(element.textContent ?? '', 'stylesheet')) refuse('refers to something outside');
    }
    for (const { localName, value } of [...element.attributes]) {
      if (/^on/i.test(localName) || /^\s*javascript:/i.test(value)) refuse('has a script in it');
      if (localName === 'href') {
        const isPicture = name === 'image' || name === 'feImage';
        if (leadsOut(value, isPicture)) refuse('refers to something outside');
        if (isPicture && value.trim().startsWith('data:')) {
          if (++inlinePictures > MOST_INLINE_PICTURES) refuse('has too many pictures in it');
          await checkInlinePicture(value);
        }
      } else if (localName === 'style') {
        if (!isStillStyle(value, 'declarationList')) refuse('refers to something outside');
      } else if (value.includes('(') && !WORDS.has(localName) && !isStillValue(value))
        refuse('refers to something outside');
    }
  }
}

async function checkInlinePicture(address: string): Promise<void> {
  const [, type, base64] = /^\s*data:image\/(png|jpeg|webp);base64,([\s\S]*)$/i.exec(address) ?? [];
  if (!type) return;
  const bytes = Buffer.from(base64!, 'base64');
  try {
    await seeRaster(bytes, `image/${type.toLowerCase()}` as 'image/png');
  } catch {
    refuse('has a picture in it that is damaged or too large');
  }
}

// Made when the first drawing comes: loading it takes longer than starting the thread.
let sanitiser: {
  readonly window: JSDOM['window'];
  readonly purify: ReturnType<typeof createDOMPurify>;
} | null = null;
function tools() {
  if (!sanitiser) {
    const { window } = new JSDOM('');
    sanitiser = { window, purify: createDOMPurify(window) };
  }
  return sanitiser;
}

/**
 * Looks at an SVG: a drawing and nothing else, in which nothing is run or fetched, and which does not grow
 * when it is drawn. What would look different without its forbidden parts is refused; notes of drawing
 * programs are taken out.
 * @throws ShotError `invalid-picture` with a sentence
 */
export async function seeDrawing(source: string): Promise<SeenPicture> {
  const text = source.replace(/^\uFEFF/, '');
  lookThrough(text);
  const { window, purify } = tools();
  const document = new window.DOMParser().parseFromString(text, 'image/svg+xml');
  const root = document.documentElement;
  if (root.localName === 'parsererror' || document.querySelector('parsererror')) refuse('is not whole');
  if (root.localName !== 'svg' || root.namespaceURI !== SVG) refuse('is not a drawing');
  const hadNotes = withoutNotes(root);
  await checkReferences(root);
  purify.sanitize(root, ALLOWED);
  let isChanged = hadNotes;
  for (const removed of purify.removed) {
    if ('element' in removed) refuse(complaintAboutElement(removed.element as Element));
    else if (removed.attribute) {
      const complaint = complaintAboutAttribute(removed.attribute.name);
      if (complaint) refuse(complaint);
      isChanged = true;
    }
  }
  const size = sizeOf(root);
  if (drawnElements(root) > MOST_ELEMENTS) refuse('uses its parts too many times over');
  const kept = isChanged ? new window.XMLSerializer().serializeToString(root) : source;
  return { type: 'image/svg+xml', ...size, bytes: Buffer.from(kept), note: '' };
}
