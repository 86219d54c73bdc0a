import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { marked } from 'marked';
import { ROOT } from './run.mjs';

export const GUIDE = join(ROOT, 'docs/guide');

const plain = (text) =>
  text.replace(/\s+/g, ' ').replaceAll('&quot;', '"').replaceAll('&#39;', '’').replaceAll('&amp;', '&');

/** Runs of text: what is emphasised is the name of something in the interface. */
const runsOf = (tokens) =>
  tokens.flatMap((token) => {
    if (token.type === 'image' || token.type === 'space') return [];
    if (token.type === 'em') return [{ isName: true, text: plain(token.text) }];
    return token.tokens ? runsOf(token.tokens) : [{ isName: false, text: plain(token.text) }];
  });

const pictureIn = (tokens) => {
  for (const token of tokens) {
    if (token.type === 'image') return { file: token.href.replace('pictures/', ''), says: plain(token.text) };
    const found = token.tokens && pictureIn(token.tokens);
    if (found) return found;
  }
  return null;
};

/** @throws Error for a file that is written in another way */
function readChapter(name) {
  const tokens = marked.lexer(readFileSync(join(GUIDE, name), 'utf8')).filter(({ type }) => type !== 'space');
  if (tokens.map(({ type }) => type).join() !== 'heading,paragraph,list')
    throw new Error(`${name} is not a chapter: a title, a paragraph, and numbered steps.`);
  const [title, lead, list] = tokens;
  return {
    id: name.replace(/\.md$/, ''),
    title: plain(title.text),
    lead: plain(lead.text),
    steps: list.items.map(({ tokens: inside }) => ({ text: runsOf(inside), picture: pictureIn(inside) })),
  };
}

/** The chapters of the guide, in their order: each has a title, a lead, and numbered steps with a picture or none. */
export const readGuide = () =>
  readdirSync(GUIDE)
    .filter((name) => /^\d\d-.*\.md$/.test(name))
    .sort()
    .map(readChapter);
