/** Advance widths of Spline Sans from the space to the tilde, thousandths of the type's size; a test reads them back from the font. */
const ADVANCES = [
  180, 282, 471, 557, 578, 896, 673, 248, 373, 373, 518, 525, 244, 402, 201, 339, 594, 394, 539, 557, 549,
  555, 553, 515, 593, 553, 273, 230, 481, 531, 523, 504, 880, 645, 625, 683, 671, 570, 537, 721, 684, 265,
  509, 608, 535, 840, 697, 743, 589, 743, 605, 576, 555, 661, 610, 945, 606, 629, 602, 320, 339, 320, 522,
  395, 347, 550, 581, 540, 585, 551, 369, 574, 580, 276, 288, 512, 259, 899, 581, 573, 582, 585, 379, 504,
  388, 572, 535, 802, 507, 509, 484, 384, 296, 384, 554,
];
const FIRST = 32;
const MONO = 600;
/** Letters of other alphabets are not measured: this is more than most of them take. */
const OTHER = 700;
/** Signs of East Asia and pictures. */
const WIDE = 1000;
const FIRST_WIDE = 0x2e80;

function advance(letter: string, font: 'sans' | 'mono'): number {
  const code = letter.codePointAt(0)!;
  if (code >= FIRST_WIDE) return WIDE;
  return font === 'mono' ? MONO : (ADVANCES[code - FIRST] ?? OTHER);
}

/** How wide a text is when it is printed, in the unit of the size. */
export const textWidth = (text: string, size: number, font: 'sans' | 'mono' = 'sans'): number =>
  ([...text].reduce((sum, letter) => sum + advance(letter, font), 0) * size) / 1000;

const DOTS = '…';

export function fitted(text: string, width: number, size: number, font: 'sans' | 'mono' = 'sans'): string {
  if (textWidth(text, size, font) <= width) return text;
  const letters = [...text];
  while (letters.length > 1 && textWidth(letters.join('') + DOTS, size, font) > width) letters.pop();
  return letters.join('').trimEnd() + DOTS;
}
