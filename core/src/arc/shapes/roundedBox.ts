import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import { applyTo, rotationAbout } from '../transform';
import { add, distance, subtract, type Vector, ZERO } from '../vector';
import {
  alongDirection,
  angleFrom,
  line,
  mapped,
  nearestTurn,
  placed,
  polar,
  RADIANS,
  roundArc,
} from './curves';
import { angle, defineShape, point, shapeSchema, size } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'rounded-box', {
    centre: point(z),
    width: size(z),
    height: size(z),
    /** Of all four corners; half the shorter side is the most that counts. */
    cornerRadius: size(z),
    turnDeg: angle(z),
    /** Where it starts as seen from the centre, 0 at the middle of the right side. */
    startDeg: angle(z),
  });

type RoundedBox = z.infer<ReturnType<typeof schema>>;

type Piece =
  | { readonly kind: 'side'; readonly from: Vector; readonly to: Vector }
  | { readonly kind: 'corner'; readonly centre: Vector; readonly fromDeg: number; readonly toDeg: number };

interface Halves {
  readonly a: number;
  readonly b: number;
  readonly r: number;
}

const halvesOf = ({ width, height, cornerRadius }: RoundedBox): Halves => ({
  a: width / 2,
  b: height / 2,
  r: Math.min(cornerRadius, width / 2, height / 2),
});

/** Clockwise: the right side, the corner below it, the bottom, and so on. */
function piecesOf({ a, b, r }: Halves): readonly Piece[] {
  const [x, y] = [a - r, b - r];
  const centres = [
    { x, y },
    { x: -x, y },
    { x: -x, y: -y },
    { x, y: -y },
  ];
  return centres.flatMap((centre, i): Piece[] => {
    const before = centres[(i + 3) % 4]!;
    const outwards = polar(ZERO, 90 * i, r);
    return [
      { kind: 'side', from: add(before, outwards), to: add(centre, outwards) },
      { kind: 'corner', centre, fromDeg: 90 * i, toDeg: 90 * i + 90 },
    ];
  });
}

function seenAt({ a, b, r }: Halves, deg: number): Vector {
  const [cos, sin] = [Math.cos(deg * RADIANS), Math.sin(deg * RADIANS)];
  const reachOf = (half: number, part: number): number => (part === 0 ? Infinity : half / Math.abs(part));
  const reach = Math.min(reachOf(a, cos), reachOf(b, sin));
  const onSide = { x: reach * cos, y: reach * sin };
  if (Math.abs(onSide.x) <= a - r || Math.abs(onSide.y) <= b - r) return onSide;
  const corner = { x: Math.sign(cos) * (a - r), y: Math.sign(sin) * (b - r) };
  const nearest = corner.x * cos + corner.y * sin;
  const aside = corner.x * sin - corner.y * cos;
  const far = nearest + Math.sqrt(Math.max(0, r * r - aside * aside));
  return { x: far * cos, y: far * sin };
}

function pieceAt({ a, b, r }: Halves, { x, y }: Vector): number {
  const isBeside = a - Math.abs(x) <= b - Math.abs(y);
  if (isBeside && Math.abs(y) <= b - r) return x >= 0 ? 0 : 4;
  if (!isBeside && Math.abs(x) <= a - r) return y >= 0 ? 2 : 6;
  if (y >= 0) return x >= 0 ? 1 : 3;
  return x < 0 ? 5 : 7;
}

function divided(piece: Piece, at: Vector): readonly [Piece, Piece] {
  if (piece.kind === 'side')
    return [
      { ...piece, to: at },
      { ...piece, from: at },
    ];
  const deg = nearestTurn(angleFrom(piece.centre, at), (piece.fromDeg + piece.toDeg) / 2);
  return [
    { ...piece, toDeg: deg },
    { ...piece, fromDeg: deg },
  ];
}

function cubicsOfPiece(piece: Piece, r: number): readonly Cubic[] {
  if (piece.kind === 'side') return [line(piece.from, piece.to)];
  const { centre, fromDeg, toDeg } = piece;
  return mapped(roundArc(r, r, fromDeg, toDeg - fromDeg), (p) => add(p, centre));
}

/** The outline from its start, clockwise: sides at steady parameter, corners in curves of at most 45°. */
function outline(box: RoundedBox): readonly Cubic[] {
  const halves = halvesOf(box);
  const pieces = piecesOf(halves);
  const start = seenAt(halves, box.startDeg);
  const first = pieceAt(halves, start);
  const [before, after] = divided(pieces[first]!, start);
  const inOrder = [after, ...pieces.slice(first + 1), ...pieces.slice(0, first), before];
  const cubics = inOrder.flatMap((piece) => cubicsOfPiece(piece, halves.r));
  const isLong = ({ start: from, end }: Cubic): boolean => distance(from, end) > 1e-9 * (halves.a + halves.b);
  const long = cubics.filter(isLong);
  return placed(long.length > 1 ? long : cubics, box.centre, box.turnDeg);
}

/** How far the middle of a corner lies from where its sides would meet, in each direction, of the radius. */
const CORNER_GAP = 1 - Math.SQRT1_2;

export const roundedBox = defineShape({
  kind: 'rounded-box',
  schema,
  closed: true,
  cubics: outline,
  handles: (box) => {
    const { centre, turnDeg } = box;
    const { a, b, r } = halvesOf(box);
    const turned = rotationAbout(ZERO, turnDeg);
    const gap = r * CORNER_GAP;
    return [
      { id: 'centre', hint: 'move the whole', at: centre, dragged: (to) => ({ ...box, centre: to }) },
      {
        id: 'x',
        hint: 'change the width and turn',
        at: polar(centre, turnDeg, a),
        dragged: (to) => ({
          ...box,
          width: 2 * distance(centre, to),
          turnDeg: nearestTurn(angleFrom(centre, to), turnDeg),
        }),
      },
      {
        id: 'y',
        hint: 'change the height',
        at: polar(centre, turnDeg + 90, b),
        dragged: (to) => ({ ...box, height: 2 * Math.abs(alongDirection(centre, turnDeg + 90, to)) }),
      },
      {
        id: 'corner',
        hint: 'round the corners',
        at: add(centre, applyTo(turned, { x: a - gap, y: b - gap })),
        dragged: (to) => {
          const { x, y } = applyTo(rotationAbout(ZERO, -turnDeg), subtract(to, centre));
          const radius = (a - x + (b - y)) / 2 / CORNER_GAP;
          return { ...box, cornerRadius: Math.min(a, b, Math.max(0, radius)) };
        },
      },
    ];
  },
  transformed: (box, { point: moved, factor, deg }) => ({
    ...box,
    centre: moved(box.centre),
    width: box.width * factor,
    height: box.height * factor,
    cornerRadius: box.cornerRadius * factor,
    turnDeg: box.turnDeg + deg,
  }),
  fresh: {
    'rounded-box': ({ centre, unit }) => ({
      kind: 'rounded-box',
      reversed: false,
      centre,
      width: 8 * unit,
      height: 5 * unit,
      cornerRadius: unit,
      turnDeg: 0,
      startDeg: 0,
    }),
  },
});
