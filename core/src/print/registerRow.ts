import { line, type Paper, type PrintOp } from './paper';

/** What lines sheets up with each other: three crosses or three holes in a row, or nothing. */
export interface RegisterRow {
  readonly kind: 'none' | 'crosses' | 'holes';
  readonly edge: 'top' | 'bottom';
  /** From the middle one to those beside it, millimetres. */
  readonly apartMm: number;
  /** From the edge of the paper to their middles, millimetres. */
  readonly fromEdgeMm: number;
  /** Holes: how wide the middle one is, and the outer ones; all are as high as the middle one. Millimetres. */
  readonly middleMm: number;
  readonly outerMm: number;
}

export const PLAIN_REGISTER: RegisterRow = {
  kind: 'crosses',
  edge: 'bottom',
  apartMm: 80,
  fromEdgeMm: 9,
  middleMm: 6,
  outerMm: 10,
};

const HOLE_SIDES = 32;

/** A hole with round ends, as wide and high as it is. */
function hole(x: number, y: number, width: number, height: number): PrintOp {
  const [r, straight] = [height / 2, Math.max(0, width - height) / 2];
  const points = Array.from({ length: HOLE_SIDES + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / HOLE_SIDES - Math.PI / 2;
    const side = Math.cos(angle) >= 0 ? straight : -straight;
    return [x + side + r * Math.cos(angle), y + r * Math.sin(angle)] as const;
  });
  return line(points, 0.25);
}

const REGISTER_CROSS_MM = 4;

/** The marks on a sheet of paper. */
export function registerOps(
  { width, height }: Paper,
  { kind, edge, apartMm, fromEdgeMm, middleMm, outerMm }: RegisterRow,
): readonly PrintOp[] {
  if (kind === 'none') return [];
  const y = edge === 'top' ? fromEdgeMm : height - fromEdgeMm;
  return [-1, 0, 1].flatMap((side): readonly PrintOp[] => {
    const x = width / 2 + side * apartMm;
    if (kind === 'holes') return [hole(x, y, side === 0 ? middleMm : outerMm, middleMm)];
    return [
      line(
        [
          [x - REGISTER_CROSS_MM, y],
          [x + REGISTER_CROSS_MM, y],
        ],
        0.35,
      ),
      line(
        [
          [x, y - REGISTER_CROSS_MM],
          [x, y + REGISTER_CROSS_MM],
        ],
        0.35,
      ),
    ];
  });
}

/** Why a row does not go on the paper, in a sentence; null where it does. */
export function registerFault({ width }: Paper, { kind, apartMm, outerMm }: RegisterRow): string | null {
  const reach = apartMm + (kind === 'holes' ? outerMm / 2 : REGISTER_CROSS_MM);
  return kind !== 'none' && reach > width / 2
    ? `The outer register marks would lie off the paper: they can be ${Math.floor(width / 2 - (reach - apartMm))} mm from the middle one.`
    : null;
}
