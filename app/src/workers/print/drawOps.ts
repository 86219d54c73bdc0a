import type { PrintOp } from '@humble/core/print';

const TONES = { ink: '#23252A', soft: '#5F5E58' } as const;
const FONTS = { sans: 'sans-serif', mono: 'monospace' } as const;
const ALIGNS = { left: 'left', middle: 'center', right: 'right' } as const;
/** Dashes of a dotted line, millimetres: as on paper. */
const DASHES = [1.5, 1];

/** What is printed, on a canvas with clear ground. @param scale pixels for each millimetre */
export function drawOps(
  context: OffscreenCanvasRenderingContext2D,
  ops: readonly PrintOp[],
  scale: number,
): void {
  context.setTransform(scale, 0, 0, scale, 0, 0);
  for (const op of ops) {
    if (op.kind === 'clip') {
      context.save();
      context.beginPath();
      context.rect(op.room.x, op.room.y, op.room.width, op.room.height);
      context.clip();
      drawOps(context, op.ops, scale);
      context.restore();
    } else if (op.kind === 'line') {
      context.strokeStyle = TONES[op.tone];
      context.lineWidth = op.width;
      context.setLineDash(op.isDashed ? DASHES : []);
      context.beginPath();
      op.points.forEach(([x, y], i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
      context.stroke();
    } else {
      context.fillStyle = TONES[op.tone];
      context.font = `${op.size}px ${FONTS[op.font]}`;
      context.textAlign = ALIGNS[op.align];
      context.fillText(op.text, op.x, op.y);
    }
  }
}
