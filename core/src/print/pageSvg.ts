import { escapedXml } from '../formats/escapedXml';
import type { PrintOp, PrintPage } from './paper';

const n = (value: number): string => String(Number(value.toFixed(3)) + 0);

const TONES = { ink: '#23252A', soft: '#5F5E58' } as const;
const FONTS = {
  sans: "SplineSans_400Regular, 'Spline Sans', sans-serif",
  mono: "SplineSansMono_400Regular, 'Spline Sans Mono', monospace",
} as const;
const ANCHORS = { left: 'start', middle: 'middle', right: 'end' } as const;

function opSvg(op: PrintOp, name: string): string {
  if (op.kind === 'line') {
    const d = op.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${n(x)} ${n(y)}`).join('');
    return `<path d="${d}" fill="none" stroke="${TONES[op.tone]}" stroke-width="${op.width}"${op.isDashed ? ' stroke-dasharray="1.5 1"' : ''}/>`;
  }
  if (op.kind === 'text')
    return op.text === ''
      ? ''
      : `<text x="${n(op.x)}" y="${n(op.y)}" font-size="${op.size}" font-family="${FONTS[op.font]}" text-anchor="${ANCHORS[op.align]}" fill="${TONES[op.tone]}">${escapedXml(op.text)}</text>`;
  const { x, y, width, height } = op.room;
  const inside = op.ops.map((one, i) => opSvg(one, `${name}-${i}`)).join('');
  return `<clipPath id="${name}"><rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}"/></clipPath><g clip-path="url(#${name})">${inside}</g>`;
}

/** A page as SVG, in millimetres: what the preview shows is what is printed. */
export const pageSvg = ({ width, height, ops }: PrintPage, name = 'page'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}">${ops.map((op, i) => opSvg(op, `${name}-${i}`)).join('')}</svg>`;
