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
import type { PrintOp, PrintPage } from './paper';

/** Bytes of the fonts that are embedded, as TrueType. */
export interface PrintFonts {
  readonly sans: Uint8Array;
  readonly mono: Uint8Array;
}

/** Points of a PDF in a millimetre. */
const POINTS = 72 / 25.4;

const hex = (text: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(text.slice(at, at + 2), 16) / 255);
  return rgb(r!, g!, b!);
};
const TONES = { ink: hex('#23252A'), soft: hex('#5F5E58') } as const;

type Fonts = Readonly<Record<'sans' | 'mono', PDFFont>>;

/** A text in the letters that the font has; what it lacks is a question mark. */
function known(text: string, font: PDFFont): string {
  const has = new Set(font.getCharacterSet());
  return [...text].map((letter) => (has.has(letter.codePointAt(0)!) ? letter : '?')).join('');
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
    if (op.text === '') return;
    const font = fonts[op.font];
    const text = known(op.text, font);
    const size = op.size * POINTS;
    const width = op.align === 'left' ? 0 : font.widthOfTextAtSize(text, size);
    const x = op.x * POINTS - (op.align === 'middle' ? width / 2 : op.align === 'right' ? width : 0);
    page.drawText(text, { x, y: down(op.y), size, font, color: TONES[op.tone] });
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

/** Pages as a PDF, 1 : 1, with its fonts embedded and nothing filled. @param title of the document */
export async function writePdf(
  pages: readonly PrintPage[],
  title: string,
  { sans, mono }: PrintFonts,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(title);
  const fonts: Fonts = {
    sans: await pdf.embedFont(sans, { subset: true }),
    mono: await pdf.embedFont(mono, { subset: true }),
  };
  for (const { width, height, ops } of pages) {
    const page = pdf.addPage([width * POINTS, height * POINTS]);
    for (const op of ops) draw(page, op, fonts);
  }
  return pdf.save();
}
