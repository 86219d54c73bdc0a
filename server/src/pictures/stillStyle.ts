import { type CssNode, parse, walk } from 'css-tree';
import { styleLeadsOut } from './references';

/** Functions that only work out colours, lengths and shapes. Any other may fetch something. */
const FUNCTIONS = new Set(
  (
    'rgb rgba hsl hsla hwb lab lch oklab oklch color color-mix calc min max clamp var ' +
    'translate translatex translatey translate3d scale scalex scaley rotate skew skewx skewy matrix matrix3d ' +
    'blur brightness contrast drop-shadow grayscale hue-rotate invert opacity saturate sepia ' +
    'linear-gradient radial-gradient conic-gradient cubic-bezier steps polygon circle ellipse inset path rect ' +
    'not is where nth-child nth-of-type nth-last-child first-child last-child format local icc-color'
  ).split(' '),
);
const AT_RULES = new Set(['media', 'font-face', 'charset']);
/** What could not be read as CSS must hold nothing that could be read as more than words. */
const MORE_THAN_WORDS = /[(\\@]/;

function isStill(node: CssNode): boolean {
  switch (node.type) {
    case 'Url':
      return !styleLeadsOut(node.value);
    case 'Function':
    case 'PseudoClassSelector':
      return node.type === 'PseudoClassSelector' || FUNCTIONS.has(node.name.toLowerCase());
    case 'Atrule':
      return AT_RULES.has(node.name.toLowerCase());
    case 'Raw':
      return !MORE_THAN_WORDS.test(node.value);
    default:
      return true;
  }
}

function isAllStill(text: string, context: 'stylesheet' | 'declarationList' | 'value'): boolean {
  let still = true;
  const tree = parse(text, { context, parseCustomProperty: true });
  walk(tree, (node) => {
    still &&= isStill(node);
  });
  return still;
}

/** Whether a style sheet or a list of declarations fetches nothing and goes nowhere. */
export const isStillStyle = (text: string, context: 'stylesheet' | 'declarationList'): boolean =>
  isAllStill(text, context);

export function isStillValue(text: string): boolean {
  try {
    return isAllStill(text, 'value');
  } catch {
    return false;
  }
}
