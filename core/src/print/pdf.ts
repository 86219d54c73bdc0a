import fontkit from '@pdf-lib/fontkit';
import {
  clip,
  endPath,
  PDFDocument,
  type PDFFont,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
} from 'pdf-lib';
import type { PrintOp } from './paper';
import type { Printout } from './printout';

/** Bytes of the fonts that are embedded, as TrueType. */
export interface PrintFonts {
  readonly sans: Uint8Array;
  readonly mono: Uint8Array;
  readonly others: () => Promise<Uint8Array>;
}

const POINTS = 72 / 25.4;

const hex = (text: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(text.slice(at, at + 2), 16) / 255);
  return rgb(r!, g!, b!);
};
const TONES = { ink: hex('#23252A'), soft: hex('#5F5E58') } as const;

interface Font {
  readonly font: PDFFont;
  readonly letters: ReadonlySet<number>;
}

interface Run {
  readonly font: Font | null;
  readonly text: string;
}

/** Letters that nobody has are boxes: so wide, and so high, shares of the type's size. */
const BOX_ADVANCE = 0.6;
const BOX_WIDTH = 0.45;
const BOX_HEIGHT = 0.65;

/** Signs that only join or direct others, and are not seen. */
const UNSEEN = /\p{Cc}|\p{Cs}|\p{Cf}|\p{Mn}|[\uFE00-\uFE0F]/u;

async function fontsOf(pdf: PDFDocument, { sans, mono, others }: PrintFonts) {
  const embed = async (bytes: Uint8Array): Promise<Font> => {
    const font = await pdf.embedFont(bytes, { subset: true });
    return { font, letters: new Set(font.getCharacterSet()) };
  };
  const own = { sans: await embed(sans), mono: await embed(mono) };
  let further: Font | null = null;
  const lacking = new Set<string>();
  return {
    lacking,
    prepare: async (text: string, name: 'sans' | 'mono'): Promise<void> => {
      if (further) return;
      for (const letter of text.normalize('NFC'))
        if (!own[name].letters.has(letter.codePointAt(0)!)) {
          further = await embed(await others());
          return;
        }
    },
    runsOf: (text: string, name: 'sans' | 'mono'): readonly Run[] => {
      const runs: { font: Font | null; text: string }[] = [];
      for (const letter of text.normalize('NFC')) {
        const code = letter.codePointAt(0)!;
        const font = [own[name], further].find((one) => one?.letters.has(code)) ?? null;
        if (!font && UNSEEN.test(letter)) continue;
        if (!font) lacking.add(text);
        const last = runs[runs.length - 1];
        if (last && last.font === font) last.text += letter;
        else runs.push({ font, text: letter });
      }
      return runs;
    },
  };
}

type Fonts = Awaited<ReturnType<typeof fontsOf>>;

const widthOf = ({ font, text }: Run, size: number): number =>
  font ? font.font.widthOfTextAtSize(text, size) : [...text].length * BOX_ADVANCE * size;

function drawText(page: PDFPage, op: Extract<PrintOp, { kind: 'text' }>, fonts: Fonts): void {
  const size = op.size * POINTS;
  const runs = fonts.runsOf(op.text, op.font);
  const width = runs.reduce((sum, run) => sum + widthOf(run, size), 0);
  let x = op.x * POINTS - (op.align === 'middle' ? width / 2 : op.align === 'right' ? width : 0);
  const y = page.getHeight() - op.y * POINTS;
  for (const run of runs) {
    if (run.font) page.drawText(run.text, { x, y, size, font: run.font.font, color: TONES[op.tone] });
    else
      [...run.text].forEach((_, i) =>
        page.drawRectangle({
          x: x + (i * BOX_ADVANCE + (BOX_ADVANCE - BOX_WIDTH) / 2) * size,
          y,
          width: BOX_WIDTH * size,
          height: BOX_HEIGHT * size,
          borderWidth: 0.05 * size,
          borderColor: TONES[op.tone],
        }),
      );
    x += widthOf(run, size);
  }
}

function draw(page: PDFPage, op: PrintOp, fonts: Fonts): void {
  const height = page.getHeight();
  const down = (y: number): number => height - y * POINTS;
  if (op.kind === 'line') {
    const d = op.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x * POINTS} ${y * POINTS}`).join('');
    page.drawSvgPath(d, {
      x: 0,
      y: height,
      borderColor: TONES[op.tone],
      borderWidth: op.width * POINTS,
      ...(op.isDashed ? { borderDashArray: [1.5 * POINTS, POINTS] } : {}),
    });
    return;
  }
  if (op.kind === 'text') {
    drawText(page, op, fonts);
    return;
  }
  const { x, y, width, height: tall } = op.room;
  page.pushOperators(
    pushGraphicsState(),
    rectangle(x * POINTS, down(y + tall), width * POINTS, tall * POINTS),
    clip(),
    endPath(),
  );
  for (const one of op.ops) draw(page, one, fonts);
  page.pushOperators(popGraphicsState());
}

const textsOf = (ops: readonly PrintOp[]): readonly Extract<PrintOp, { kind: 'text' }>[] =>
  ops.flatMap((op) => (op.kind === 'text' ? [op] : op.kind === 'clip' ? textsOf(op.ops) : []));

/** A PDF, and the texts with letters that none of its fonts has: those letters are boxes in it. */
export interface WrittenPdf {
  readonly bytes: Uint8Array;
  readonly lacking: readonly string[];
}

/**
 * Pages as a PDF, 1 : 1, with its fonts embedded and nothing filled.
 * @param title of the document
 * @param onPage told after each page how many are drawn
 */
export async function writePdf(
  { count, pageAt }: Printout,
  title: string,
  fonts: PrintFonts,
  onPage: (done: number) => void = () => undefined,
): Promise<WrittenPdf> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(title);
  const known = await fontsOf(pdf, fonts);
  for (let i = 0; i < count; i++) {
    const { width, height, ops } = pageAt(i);
    for (const { text, font } of textsOf(ops)) await known.prepare(text, font);
    const page = pdf.addPage([width * POINTS, height * POINTS]);
    for (const op of ops) draw(page, op, known);
    onPage(i + 1);
  }
  return { bytes: await pdf.save(), lacking: [...known.lacking] };
}

/** What is said of texts with letters that no font has. */
export const lackingSentence = (texts: readonly string[]): string | null =>
  texts.length === 0
    ? null
    : `No font here has all letters of “${texts[0]!}”${texts.length > 1 ? ` and ${texts.length - 1} more` : ''}: those that are missing are printed as boxes.`;
