import SvgPath from 'svgpath';
import { arcOf, corner, onlyMove, shotAlong } from '../testing/shapes';
import { arcLength, pointAtDistance } from '../arc/arcMeasure';
import { shotCard } from '../formats/shotCard';
import { incrementTable } from '../spacing/increments';
import { applyEdit, edits } from './edits';
import { freshShot } from '../model/freshShot';
import { readShotFile, writeShotFile } from '../model/openShot';
import { type Shot, shotSchema } from '../model/schema';
import { lookOf, placementOf, svgMatrix } from '../motion/look';
import { SILHOUETTE_UNITS, silhouettePath } from '../motion/silhouettePath';
import { STAND_INS } from '../motion/standIns';

const line = arcOf([corner(0, 0), corner(120, 0)]);
const steady66 = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' } as const;
const empty = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });

describe('one stroke to an answer', () => {
  const drawn = edits.drawArc(empty, { points: line.points });

  test('gives an arc, a figure on its start, and a move over the whole shot with slow ends', () => {
    expect(shotSchema.safeParse(drawn).success).toBe(true);
    expect(drawn.moves[0]!.marks.map(({ frame, fraction }) => [frame, fraction])).toEqual([
      [1, 0],
      [48, 1],
    ]);
    expect(drawn.moves[0]!.marks[0]!.easing).toMatchObject({
      kind: 'ramped',
      leaveFrames: 12,
      arriveFrames: 12,
    });
    expect(incrementTable(drawn, onlyMove(drawn)).rows[0]).toMatchObject({ x: 0, y: 0, arcDistance: 0 });
  });

  test('can be done again for a second arc, with ids of its own', () => {
    const twice = edits.drawArc(drawn, { points: line.points });
    expect(shotSchema.safeParse(twice).success).toBe(true);
    expect(twice.arcs.map((arc) => arc.id)).toEqual(['arc1', 'arc2']);
  });
});

describe('edits', () => {
  const shot = shotAlong(line, 48, steady66);

  test('leave the shot they start from alone', () => {
    const before = JSON.stringify(shot);
    applyEdit(shot, { name: 'movePoint', args: { arcId: 'arc1', pointId: 'p1', to: { x: 5, y: 5 } } });
    applyEdit(shot, { name: 'setLength', args: { lengthFrames: 20 } });
    expect(JSON.stringify(shot)).toBe(before);
  });

  test('a move that fills the shot follows its length; a shorter one stays; one that sticks out is compressed', () => {
    const frames = (s: Shot) => onlyMove(s).marks.map((mark) => mark.frame);
    expect(frames(edits.setLength(shot, { lengthFrames: 96 }))).toEqual([1, 96]);
    const early = edits.setMoveFrames(shot, { moveId: 'move1', first: 10, last: 30 });
    expect(frames(edits.setLength(early, { lengthFrames: 96 }))).toEqual([10, 30]);
    expect(frames(edits.setLength(early, { lengthFrames: 24 }))).toEqual([10, 24]);
    expect(frames(edits.setLength(early, { lengthFrames: 5 }))).toEqual([4, 5]);
    expect(frames(edits.setLength(shot, { lengthFrames: 96, moves: 'keep' }))).toEqual([1, 48]);
    expect(frames(edits.setLength(shot, { lengthFrames: 24, moves: 'keep' }))).toEqual([1, 24]);
    expect(frames(edits.setLength(early, { lengthFrames: 96, moves: 'stretch' }))).toEqual([19, 59]);
    const longer = edits.setMoveFrames(shot, { moveId: 'move1', first: 1, last: 60, lengthens: true });
    expect([longer.lengthFrames, ...frames(longer)]).toEqual([60, 1, 60]);
  });

  test('a move stays within the shot', () => {
    expect(() => edits.setMoveFrames(shot, { moveId: 'move1', first: 1, last: 49 })).toThrow(
      'frames 1 to 48',
    );
    expect(() => edits.setMoveFrames(shot, { moveId: 'none', first: 1, last: 9 })).toThrow('no part none');
  });

  test('millimetres need a scale, and go when it goes', () => {
    expect(() => edits.setSheet(shot, { units: 'mm' })).toThrow('need a scale');
    const mm = edits.setSheet(edits.setScale(shot, { unitsPerMm: 2 }), { units: 'mm' });
    expect(edits.setScale(mm, { unitsPerMm: null }).sheet.units).toBe('field');
  });

  test('change the easing of one span only, the figure, the rate, the field', () => {
    const changed = [
      { name: 'setEasing', args: { moveId: 'move1', markId: 'm1', easing: { kind: 'even' } } },
      { name: 'setFigure', args: { figureId: 'figure1', standIn: 'lantern', height: 200 } },
      { name: 'setRate', args: { rate: 12 } },
      { name: 'setFieldSize', args: { width: 800, height: 600 } },
      { name: 'renameShot', args: { name: 'Lamp' } },
    ] as const;
    const next = changed.reduce<Shot>((s, edit) => applyEdit(s, edit), shot);
    expect(onlyMove(next).marks.map((mark) => mark.easing.kind)).toEqual(['even', 'ramped']);
    expect(next.figures[0]).toMatchObject({ artwork: { standIn: 'lantern' }, height: 200, name: 'Figure 1' });
    expect(next).toMatchObject({ name: 'Lamp', rate: 12, field: { width: 800, height: 600 } });
  });
});

describe('the open shot file', () => {
  const shot = shotAlong(line, 21, steady66);

  test('reads back as it was written', () => {
    expect(readShotFile(writeShotFile(shot))).toEqual(shot);
  });

  const damaged = (change: (data: any) => void): string => {
    const data = JSON.parse(writeShotFile(shot));
    change(data);
    return JSON.stringify(data);
  };

  test.each<[string, string, RegExp]>([
    ['half a file', writeShotFile(shot).slice(0, 300), /valid JSON/],
    ['another sort of file', '{"hello": 1}', /not a Humble Pendulum shot/],
    ['a list', '[]', /not a Humble Pendulum shot/],
    ['a newer file', damaged((d) => (d.version = 99)), /newer release \(version 99/],
    ['no version', damaged((d) => delete d.version), /the version is missing/],
    ['a name that is a number', damaged((d) => (d.name = 7)), /the name is 7, and must be text/],
    [
      'nonsense numbers',
      damaged((d) => (d.arcs[0].points[1].x = 'far')),
      /the place across of point 2 of arc 1 is “far”, and must be a number/,
    ],
    ['a figure that is missing', damaged((d) => (d.figures = [])), /no figure figure1/],
    ['marks out of order', damaged((d) => (d.moves[0].marks[1].frame = 1)), /follow each other in time/],
    ['a mark past the end', damaged((d) => (d.moves[0].marks[1].frame = 22)), /after the last frame/],
    [
      'the same id twice',
      damaged((d) => d.arcs.push(d.arcs[0])),
      /the id of arc 2 is wrong: arc 1 has the id “arc1”, too/,
    ],
  ])('%s gets a sentence', (_, text, sentence) => {
    expect(() => readShotFile(text)).toThrow(sentence);
  });
});

describe('the picture on the card', () => {
  test('is the shot’s own arc, ticks and ghosts', () => {
    const card = shotCard(shotAlong(line, 21, steady66));
    expect(card.arcs).toEqual(['M0 0C40 0 80 0 120 0']);
    expect(card.ticks.match(/M/g)).toHaveLength(21);
    // The peg stands on the middle of its foot, (30, 100) of its drawing.
    const feet = card.ghosts.map(({ placement: [a, , c, , e] }) => a! * 30 + c! * 100 + e!);
    expect(feet.map((x) => Number(x.toFixed(1)))).toEqual([0, 11.4, 42.9, 77.1, 108.6, 120]);
    expect(shotCard(empty)).toMatchObject({ arcs: [], ticks: '', ghosts: [] });
  });
});

/** The lantern hangs by its ring at (35, 4) of 110; here it is twice as high. */
const lanternAt = ({ x, y }: { x: number; y: number }, headingDeg: number) => {
  const figure = edits.setFigure(shotAlong(line, 21), { figureId: 'figure1', standIn: 'lantern' })
    .figures[0]!;
  const setup = { figure, move: { turnsWithArc: true, mirrored: false }, figureHeight: 220 };
  return placementOf(setup, lookOf(figure), { x, y, headingDeg, scale: { across: 1, down: 1 } });
};

test('a stand-in sits with its pivot on the arc', () => {
  expect(svgMatrix(lanternAt({ x: 10, y: 20 }, 90))).toBe('matrix(0 2 -2 0 18 -50)');
  const place = pointAtDistance(line, arcLength(line));
  expect(place.x).toBe(120);
});

describe('a silhouette as a path in the field', () => {
  test('has its pivot on the place, its height, and its heading', () => {
    const path = silhouettePath(STAND_INS.lantern, lanternAt({ x: 100, y: 50 }, 90));
    // From 108, 42 to 108, 58, in tenths.
    expect(path.startsWith('M1080 420 l0 160 ')).toBe(true);
    expect(path.endsWith('z')).toBe(true);
  });

  test('has every command of every stand-in, and only numbers between them', () => {
    for (const standIn of Object.values(STAND_INS)) {
      const path = silhouettePath(standIn, lanternAt({ x: -3.25, y: 7 }, 33));
      expect(path.toUpperCase().match(/[A-Z]/g)).toEqual(standIn.silhouette.match(/[A-Z]/g));
      expect(path.match(/-?[\d.]+/g)).toHaveLength(standIn.silhouette.match(/-?[\d.]+/g)!.length);
      expect(path).not.toMatch(/NaN|e-|\./);
    }
  });

  test('counts from point to point without losing its way', () => {
    const numbersOf = (path: InstanceType<typeof SvgPath>): number[] =>
      (path.toString().match(/-?[\d.]+/g) ?? []).map(Number);
    const { a, b, c, d, e, f } = lanternAt({ x: 1e5, y: -1e5 }, 33);
    for (const standIn of Object.values(STAND_INS)) {
      const relative = new SvgPath(silhouettePath(standIn, { a, b, c, d, e, f })).abs();
      const plain = numbersOf(new SvgPath(standIn.silhouette).matrix([a, b, c, d, e, f]));
      const written = numbersOf(relative);
      expect(written).toHaveLength(plain.length);
      written.forEach((value, i) =>
        expect(Math.abs(value / SILHOUETTE_UNITS - plain[i]!)).toBeLessThan(0.051),
      );
    }
  });
});

test('a figure is at first as high as fits the field, in whole units', () => {
  const heightIn = (height: number): number =>
    edits.drawArc(freshShot({ name: 'Quay', rate: 24, lengthFrames: 21, width: 1920, height }), {
      points: [corner(0, 0), corner(100, 0)],
    }).figures[0]!.height;
  expect([heightIn(1080), heightIn(540)]).toEqual([173, 86]);
  expect(heightIn(1)).toBe(1);
});
