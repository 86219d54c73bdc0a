import { outOfRange } from '../model/errors';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { drawnThroughSpans } from '../exposure/drawnThrough';
import { drawingAt, drawingNumber, fractionName, numberedDrawings } from '../spacing/drawingNumbers';
import { type Ladder, type LadderEnd, ladderOf, ladderThrough } from '../spacing/ladder';
import { type Tick, ticksOf } from '../spacing/ticks';
import type { Printout } from './printout';
import { refuseTooMany } from './tooMany';
import { spansOf } from '../timing/placeInTime';
import { line, pageWith, type Paper, type PrintOp, ring, roomOn, text } from './paper';

const LADDER_WIDTH = 36;
const LADDER_HEIGHT = 70;
const RULER_HEIGHT = 26;

/** How a chart's drawings are numbered: keys in a ring where it leads from drawing to drawing. */
interface Numbering {
  readonly numberOn: (frame: number) => string;
  readonly hasRings: boolean;
}

const byFrame = (first: FirstFrameNumber): Numbering => ({
  numberOn: (frame) => String(frameNumber(frame, first)),
  hasRings: false,
});

function asDrawn(shot: Shot, move: Move, first: FirstFrameNumber): Numbering {
  const drawings = numberedDrawings(shot, move);
  return {
    numberOn: (frame) => {
      const one = drawingAt(drawings, frame);
      return one ? drawingNumber(one, shot, first) : String(frameNumber(frame, first));
    },
    hasRings: true,
  };
}

function ladder(
  { from, to, rungs }: Ladder<LadderEnd>,
  x: number,
  y: number,
  { numberOn, hasRings }: Numbering,
): readonly PrintOp[] {
  const rail = x + 16;
  const at = (share: number): number => y + 4 + share * LADDER_HEIGHT;
  const rung = (share: number, half: number, width: number): PrintOp =>
    line(
      [
        [rail - half, at(share)],
        [rail + half, at(share)],
      ],
      width,
    );
  const number = (share: number, frame: number, beside: string): readonly PrintOp[] => [
    text(rail - 8, at(share) + 1, numberOn(frame), {
      size: 2.6,
      font: 'mono',
      align: 'right',
    }),
    text(rail + 8, at(share) + 1, beside, { size: 2.4, tone: 'soft' }),
  ];
  let last = -Infinity;
  const numbers = rungs.flatMap(({ frame, share }) => {
    if (Math.abs(at(share) - last) < 2.8 || at(share) - at(0) < 2.8 || at(1) - at(share) < 2.8) return [];
    last = at(share);
    return number(share, frame, hasRings ? (fractionName(share) ?? '') : '');
  });
  return [
    line(
      [
        [rail, at(0)],
        [rail, at(1)],
      ],
      0.25,
    ),
    rung(0, 6, 0.6),
    rung(1, 6, 0.6),
    ...rungs.map(({ share }) => rung(share, 3.5, 0.25)),
    ...number(0, from.frame, from.label),
    ...number(1, to.frame, to.label),
    ...(hasRings ? [ring(rail - 9.5, at(0), 2.6), ring(rail - 9.5, at(1), 2.6)] : []),
    ...numbers,
  ];
}

interface RulerSource {
  readonly mm: number;
  readonly arcLength: number;
  readonly ticks: readonly Tick[];
  readonly marked: ReadonlySet<number>;
  readonly first: FirstFrameNumber;
}

function rulerSource(shot: Shot, move: Move, mm: number, first: FirstFrameNumber): RulerSource {
  const travel = evaluateMove(shot, move);
  const ticks = [...ticksOf(travel, shot)].sort((a, b) => a.arcDistance - b.arcDistance);
  return {
    mm,
    arcLength: travel.arcLength,
    ticks,
    marked: new Set(move.marks.map(({ frame }) => frame)),
    first,
  };
}

function firstFrom(ticks: readonly Tick[], arcDistance: number): number {
  let [low, high] = [0, ticks.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (ticks[middle]!.arcDistance < arcDistance) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A piece of the arc laid out straight at 1 : 1, from a distance on. */
function ruler(
  { mm, arcLength, ticks, marked, first }: RulerSource,
  fromMm: number,
  width: number,
  x: number,
  y: number,
): readonly PrintOp[] {
  const base = y + 16;
  const until = Math.min(width, arcLength / mm - fromMm);
  const ops: PrintOp[] = [
    line(
      [
        [x, base],
        [x + until, base],
      ],
      0.35,
    ),
  ];
  let last = -Infinity;
  for (let i = firstFrom(ticks, (fromMm - 1e-6) * mm); i < ticks.length; i++) {
    const { frame, arcDistance, isFifth } = ticks[i]!;
    const at = x + arcDistance / mm - fromMm;
    if (at > x + width + 1e-6) break;
    const tall = marked.has(frame) ? 12 : isFifth ? 9 : 6;
    ops.push(
      line(
        [
          [at, base],
          [at, base - tall],
        ],
        marked.has(frame) ? 0.5 : 0.25,
      ),
    );
    if (Math.abs(at - last) < 5) continue;
    last = at;
    ops.push(
      text(at, base + 4, String(frameNumber(frame, first)), { size: 2.6, font: 'mono', align: 'middle' }),
    );
  }
  return ops;
}

type Block = () => readonly PrintOp[];

/** Spacing charts of all spans that go anywhere, and under them the arc as a paper ruler where the field has a scale. */
export function ladderPages(shot: Shot, paper: Paper, first: FirstFrameNumber = 1): Printout {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const moves = shot.moves.filter(({ figureId }) => seen.has(figureId));
  if (moves.length === 0) throw outOfRange('Nothing travels in this shot.');
  const room = roomOn(paper);
  const pages: Block[][] = [[]];
  let x = room.x;
  let y = room.y;
  const turnPage = (): void => {
    pages.push([]);
    x = room.x;
    y = room.y;
  };
  const place = (block: (x: number, y: number) => readonly PrintOp[]): void => {
    const [left, top] = [x, y];
    pages[pages.length - 1]!.push(() => block(left, top));
  };
  for (const move of moves) {
    const spans = spansOf(move).flatMap(({ isHold }, index) => (isHold ? [] : [index]));
    const charts = [
      ...spans.map((index) => () => [ladderOf(shot, move, index), byFrame(first)] as const),
      ...drawnThroughSpans(move).map(
        (through) => () => [ladderThrough(shot, move, through), asDrawn(shot, move, first)] as const,
      ),
    ];
    for (const chart of charts) {
      if (x + LADDER_WIDTH > room.x + room.width) {
        x = room.x;
        y += LADDER_HEIGHT + 14;
      }
      if (y + LADDER_HEIGHT + 8 > room.y + room.height) turnPage();
      place((left, top) => {
        const [rungs, numbering] = chart();
        return ladder(rungs, left, top, numbering);
      });
      x += LADDER_WIDTH;
    }
    if (x > room.x) {
      x = room.x;
      y += LADDER_HEIGHT + 14;
    }
    const mm = shot.field.unitsPerMm;
    if (mm === null) continue;
    const source = rulerSource(shot, move, mm, first);
    refuseTooMany(pages.length + (source.arcLength / mm / room.width) * (RULER_HEIGHT / room.height));
    for (let from = 0; from < source.arcLength / mm; from += room.width) {
      if (y + RULER_HEIGHT > room.y + room.height) turnPage();
      const begins = from;
      place((left, top) => ruler(source, begins, room.width, left, top));
      y += RULER_HEIGHT;
    }
  }
  return {
    count: pages.length,
    pageAt: (index) =>
      pageWith(
        paper,
        {
          title: `${shot.name}: spacing charts`,
          detail: shot.field.unitsPerMm === null ? '' : 'The ruler is 1 : 1: lay it along the track.',
          page: index + 1,
          of: pages.length,
        },
        pages[index]!.flatMap((block) => block()),
      ),
  };
}
