import { plainLine, plainText } from '../model/plainText';

const LINES: ReadonlySet<string> = new Set(['name', 'film', 'label', 'word']);
const TEXTS: ReadonlySet<string> = new Set(['text']);

const plain = (key: string, value: unknown): unknown => {
  if (typeof value === 'string')
    return LINES.has(key) ? plainLine(value) : TEXTS.has(key) ? plainText(value) : value;
  return key === 'cues' && Array.isArray(value) ? value.map(plainArgs) : value;
};

/** Arguments of an edit without signs that are no text: what is pasted may hold some, and no file may have them. */
export function plainArgs<Args>(args: Args): Args {
  if (typeof args !== 'object' || args === null) return args;
  const entries = Object.entries(args);
  const isPlain = entries.every(([key, value]) => plain(key, value) === value);
  return isPlain
    ? args
    : (Object.fromEntries(entries.map(([key, value]) => [key, plain(key, value)])) as Args);
}
