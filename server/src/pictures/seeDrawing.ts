import { fittedSize, ShotError } from '@humble/core';
import { withoutNotesInDrawing } from '@humble/core/files';
import { svgPixels } from '@humble/core/svg';
import createDOMPurify, { type Config } from 'dompurify';
import { JSDOM } from 'jsdom';
import { SaxesParser } from 'saxes';
import type { SeenPicture } from '../threads/pictureTasks';
import { attributesOf, elementsIn, withoutPrefix } from './elements';
import { leadsOut } from './references';
import { drawnElements } from './drawnElements';
import { seeRaster } from './seeRaster';
import { isStillStyle, isStillValue } from './stillStyle';

const MAX_ELEMENTS = 200_000;
const MAX_DEPTH = 300;
const MAX_INLINE_PICTURES = 200;

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

function complaintAboutAttribute(name: string): string | null {
  const plain = name.toLowerCase().replace(/^.*:/, '');
  if (plain.startsWith('on')) return 'has a script in it';
  if (plain === 'href' || plain === 'src') return 'refers to something outside';
  return plain === 'style' ? 'has a style that cannot be kept' : null;
}

const complaintAboutElement = ({ localName }: Element): string =>
  localName.toLowerCase() === 'script' ? 'has a script in it' : 'has something in it that is no drawing';

/** A reference whose prefix is not the usual one. */
const isLinkByAnotherName = (attribute: string): boolean =>
  attribute.endsWith(':href') && attribute !== 'xlink:href';

/**
 * A cheap look before the drawing is built in memory: whole, not too deep, no entities, nothing outside.
 * @returns whether any of its elements has a prefix, or a reference another one than usual
 */
function lookThrough(text: string): boolean {
  let hasPrefix = false;
  let depth = 0;
  let elements = 0;
  const parser = new SaxesParser();
  parser.on('error', () => refuse('is incomplete'));
  parser.on('doctype', (doctype) => {
    if (/\[|ENTITY/i.test(doctype)) refuse('defines entities of its own');
    if (/SYSTEM|PUBLIC/i.test(doctype) && !/"-\/\/W3C\/\/DTD SVG/i.test(doctype))
      refuse('refers to something outside');
  });
  parser.on('processinginstruction', ({ target }) => {
    if (/stylesheet/i.test(target)) refuse('refers to a style sheet outside');
  });
  parser.on('opentag', ({ name, attributes }) => {
    hasPrefix ||= name.includes(':') || Object.keys(attributes).some(isLinkByAnotherName);
    if (++elements > MAX_ELEMENTS) refuse('has too many parts');
    if (++depth > MAX_DEPTH) refuse('has parts within parts too deep');
  });
  parser.on('closetag', () => depth--);
  parser.write(text).close();
  return hasPrefix;
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
    for (const attribute of element.getAttributeNames()) {
      // What belongs to another name has a prefix, or gives one.
      if (!attribute.includes(':') && attribute !== 'xmlns') continue;
      const { namespaceURI, name } = element.getAttributeNode(attribute)!;
      const isNote = namespaceURI !== null && ![XLINK, XML, XMLNS].includes(namespaceURI);
      const isNameOfNotes =
        namespaceURI === XMLNS && ![SVG, XLINK, XHTML].includes(element.getAttribute(name) ?? '');
      if (!isNote && !isNameOfNotes) continue;
      element.removeAttribute(name);
      isChanged = true;
    }
    for (let child = element.firstChild; child; child = child.nextSibling) nodes.push(child);
  }
  return isChanged;
}

/**
 * A drawing whose elements stand in the namespace of SVG without a prefix (`ns0:svg`, as some programs write): what is read
 * by name reads them then.
 */
function unprefixed(root: Element): Element {
  const document = root.ownerDocument;
  const copyOf = (element: Element): Element => {
    const isSvg = element.namespaceURI === SVG;
    const copy = document.createElementNS(element.namespaceURI, isSvg ? element.localName : element.nodeName);
    for (const { namespaceURI, name, value } of [...element.attributes]) {
      // The names that they were given are of no use any more.
      if (namespaceURI === XMLNS && (value === SVG || value === XLINK)) continue;
      copy.setAttributeNS(
        namespaceURI,
        namespaceURI === XLINK ? `xlink:${withoutPrefix(name)}` : name,
        value,
      );
    }
    return copy;
  };
  const top = copyOf(root);
  top.setAttributeNS(XMLNS, 'xmlns:xlink', XLINK);
  const open: [from: Element, to: Element][] = [[root, top]];
  while (open.length > 0) {
    const [from, to] = open.pop()!;
    for (const child of [...from.childNodes]) {
      if (child.nodeType !== 1) {
        to.appendChild(child.cloneNode());
        continue;
      }
      const copy = copyOf(child as Element);
      to.appendChild(copy);
      open.push([child as Element, copy]);
    }
  }
  return top;
}

/** Values of these are names or words, not styles. */
const WORDS = new Set(['id', 'class', 'd', 'points', 'lang', 'font-family']);

async function checkReferences(root: Element): Promise<void> {
  let inlinePictures = 0;
  for (const element of elementsIn(root)) {
    const name = element.localName;
    if (MOVING.includes(name.toLowerCase())) refuse('moves by itself');
    if (name === 'style') {
      if ([...element.childNodes].some(({ nodeType }) => nodeType !== 3 && nodeType !== 4))
        refuse('has a style that is in pieces');
      if (!isStillStyle(element.textContent ?? '', 'stylesheet')) refuse('refers to something outside');
    }
    for (const [attribute, value] of attributesOf(element)) {
      const localName = withoutPrefix(attribute);
      if (/^on/i.test(localName) || /^\s*javascript:/i.test(value)) refuse('has a script in it');
      if (localName === 'href') {
        const isPicture = name === 'image' || name === 'feImage';
        if (leadsOut(value, isPicture)) refuse('refers to something outside');
        if (isPicture && value.trim().startsWith('data:')) {
          if (++inlinePictures > MAX_INLINE_PICTURES) refuse('has too many pictures in it');
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
  const bare = source.replace(/^\uFEFF/, '');
  const hasPrefix = lookThrough(bare);
  const text = withoutNotesInDrawing(bare);
  const { window, purify } = tools();
  const document = new window.DOMParser().parseFromString(text, 'image/svg+xml');
  const { documentElement } = document;
  const root = hasPrefix ? unprefixed(documentElement) : documentElement;
  if (root.localName === 'parsererror' || document.querySelector('parsererror')) refuse('is incomplete');
  if (root.localName !== 'svg' || root.namespaceURI !== SVG) refuse('is not a drawing');
  const hadNotes = withoutNotes(root) || root !== documentElement || text !== bare;
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
  if (drawnElements(root) > MAX_ELEMENTS) refuse('uses its parts too many times over');
  const kept = isChanged ? new window.XMLSerializer().serializeToString(root) : source;
  return { type: 'image/svg+xml', ...size, bytes: Buffer.from(kept), note: '' };
}
