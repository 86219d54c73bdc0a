import { applyEdit, type Edit, edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import type { Shot } from '../model/schema';
import { arcOf, corner, shotAlong } from '../testing/shapes';
import { describeChanges } from './describeChanges';

const empty = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
const line = arcOf([corner(0, 0), corner(60, 40), corner(120, 0)]);
const shot = shotAlong(line, 48, { kind: 'even' });

const after = (...many: Edit[]): readonly string[] =>
  describeChanges(shot, many.reduce<Shot>(applyEdit, shot));

test('the same shot has no changes, also where it was read anew', () => {
  expect(describeChanges(shot, shot)).toEqual([]);
  expect(describeChanges(shot, JSON.parse(JSON.stringify(shot)) as Shot)).toEqual([]);
});

test('an arc that is pulled is reshaped, and its marks stay where they are', () => {
  const args = { arcId: 'arc1', pointId: 'p2', to: { x: 70, y: 80 } };
  expect(after({ name: 'movePoint', args })).toEqual(['arc reshaped']);
});

test('arc and marks changed between two saves are both said, the arc first', () => {
  const markIds = shot.moves[0]!.marks.map(({ id }) => id);
  expect(
    after(
      {
        name: 'moveMarks',
        args: { moveId: 'move1', markIds: [markIds[0]!], byFrames: 4, takesLater: false },
      },
      {
        name: 'moveMarks',
        args: { moveId: 'move1', markIds: [markIds[1]!], byFrames: -8, takesLater: false },
      },
      { name: 'movePoint', args: { arcId: 'arc1', pointId: 'p2', to: { x: 70, y: 80 } } },
    ),
  ).toEqual(['arc reshaped', '2 marks moved']);
});

test('points that come and go are counted', () => {
  const removed = edits.deletePoints(shot, { arcId: 'arc1', pointIds: ['p2'] });
  expect(describeChanges(shot, removed)).toContain('1 point removed from the arc');
  expect(describeChanges(removed, shot)).toContain('1 point added to the arc');
});

test('a first arc with its figure', () => {
  const drawn = edits.drawArc(empty, { points: line.points });
  expect(describeChanges(empty, drawn)).toEqual(['1 arc added', '1 figure added']);
  expect(describeChanges(drawn, empty)).toEqual(['1 arc removed', '1 figure removed']);
});

test('where there are several arcs the one that changed is named', () => {
  const two = edits.drawArc(shot, { points: line.points });
  const args = { arcId: 'arc1', pointId: 'p2', to: { x: 70, y: 80 } };
  expect(describeChanges(two, edits.movePoint(two, args))).toEqual([`arc “${shot.arcs[0]!.name}” reshaped`]);
});

test('easing, length, rate and name', () => {
  expect(after({ name: 'renameShot', args: { name: 'Steps' } })).toEqual(['renamed “Steps”']);
  const longer = edits.setLength(shot, { lengthFrames: 96 });
  expect(describeChanges(shot, longer)).toEqual(['1 mark moved', '96 frames long, was 48']);
  const [first] = shot.moves[0]!.marks;
  const eased = edits.setEasing(shot, {
    moveId: 'move1',
    markId: first!.id,
    easing: { kind: 'ramped', leaveFrames: 4, arriveFrames: 4, ramp: 'steady' },
  });
  expect(describeChanges(shot, eased)).toEqual(['easing changed']);
});

test('another take, and what only one member can tell', () => {
  const taken = edits.addTake(shot, { name: 'Slower' });
  expect(describeChanges(shot, taken)).toEqual(['1 take added']);
  const hidden = { ...shot, waiting: [], gestures: [{ ...shot.gestures[0], id: 'g9' }] } as unknown as Shot;
  expect(describeChanges(shot, hidden)).toEqual(['other details changed']);
});

type Draft = Mutable<Shot>;
type Mutable<T> = T extends readonly (infer Item)[]
  ? Mutable<Item>[]
  : T extends object
    ? { -readonly [K in keyof T]: Mutable<T[K]> }
    : T;

/** A shot with something of everything that has a sentence of its own. */
const full = ((): Shot => {
  const copy = structuredClone(edits.addTake(shot, { name: 'Second' })) as Draft;
  copy.notes = [{ id: 'n1', from: 1, until: 2, text: 'slow', figureId: null }];
  copy.cues = [{ id: 'c1', seconds: 0.5, word: 'knock' }];
  copy.moves[0]!.marks.push({ ...copy.moves[0]!.marks[1]!, id: 'm9', frame: 48, fraction: 1 });
  copy.moves[0]!.marks[1]!.frame = 24;
  return copy as Shot;
})();

const picture = { sha256: 'ab'.repeat(32), type: 'image/png', name: 'a.png', width: 4, height: 3 } as const;
const taken = (id: string): Draft['shoot']['pictures'][number] => ({
  id,
  takeId: 'take1',
  frame: 1,
  framesHeld: 1,
  picture,
  isHidden: false,
  isSetAside: false,
  actuals: [],
});

test.each<[sentences: string[], change: (draft: Draft) => void]>([
  [['arc closed'], (draft) => (draft.arcs[0]!.closed = true)],
  [['arc redrawn'], ({ arcs }) => arcs[0]!.points.forEach((point) => (point.id = `new ${point.id}`))],
  [['arc renamed'], (draft) => (draft.arcs[0]!.name = 'Hop')],
  [['arc changed'], (draft) => (draft.arcs[0]!.hidden = true)],
  [
    ['1 arc added', 'arc “Hop” reshaped'],
    (draft) => {
      draft.arcs.push({ ...structuredClone(draft.arcs[0]!), id: 'arc2' });
      Object.assign(draft.arcs[0]!, { name: 'Hop' });
      draft.arcs[0]!.points[0]!.x += 1;
    },
  ],
  [
    ['figure renamed “Crab”', 'figure resized'],
    (draft) => Object.assign(draft.figures[0]!, { name: 'Crab', height: 7 }),
  ],
  [
    ['figure looks different'],
    (draft) => (draft.figures[0]!.artwork = { kind: 'stand-in', standIn: 'crab' }),
  ],
  [
    ['figure pivot moved', 'figure front turned'],
    (draft) => Object.assign(draft.figures[0]!, { pivot: { x: 1, y: 1 }, frontDeg: 90 }),
  ],
  [['figure changed'], (draft) => (draft.figures[0]!.locked = true)],
  [
    ['1 mark added'],
    ({ moves }) => moves[0]!.marks.splice(1, 0, { ...moves[0]!.marks[1]!, id: 'x', frame: 3 }),
  ],
  [['1 mark removed'], ({ moves }) => moves[0]!.marks.splice(1, 1)],
  [
    ['2 marks moved'],
    ({ moves }) => {
      moves[0]!.marks[1]!.frame += 1;
      moves[0]!.marks[2]!.fraction = 0.9;
    },
  ],
  [
    ['easing changed', '1 mark changed'],
    ({ moves }) => {
      moves[0]!.marks[0]!.easing = { kind: 'ramped', leaveFrames: 4, arriveFrames: 4, ramp: 'steady' };
      moves[0]!.marks[1]!.label = 'key';
    },
  ],
  [
    ['size keys changed'],
    ({ moves }) => {
      const key = { id: 'k', frame: 1, value: 50, easing: { kind: 'even' }, growth: 'even' } as const;
      moves[0]!.tracks.size.push({ ...key });
      moves[0]!.tracks.sizeDown.push({ ...key, id: 'k2' });
    },
  ],
  [
    ['exposures changed', 'turning changed'],
    ({ moves }) => Object.assign(moves[0]!, { framesHeld: 2, mirrored: true }),
  ],
  [['single frames moved'], ({ moves }) => moves[0]!.overrides.push({ frame: 2, dx: 1, dy: 1 })],
  [['what comes before or after the marks changed'], ({ moves }) => (moves[0]!.after = 'swing')],
  [
    ['another take chosen'],
    ({ takes }) => {
      const kept = takes.find((take) => take.kept !== null)!;
      const current = takes.find((take) => take.kept === null)!;
      [current.kept, kept.kept] = [kept.kept, null];
    },
  ],
  [['take renamed'], ({ takes }) => (takes[0]!.name = 'First')],
  [['1 take removed'], (draft) => (draft.takes = draft.takes.filter(({ kept }) => kept === null))],
  [
    ['2 pictures taken', 'perspective added'],
    ({ shoot }) => {
      shoot.pictures.push(taken('t1'), taken('t2'));
      shoot.perspective = {} as NonNullable<typeof shoot.perspective>;
    },
  ],
  [['put into the film “Low Tide”'], (draft) => (draft.film = 'Low Tide')],
  [['12 frames a second, was 24'], (draft) => (draft.rate = 12)],
  [['field 800 × 1080', 'scale changed'], ({ field }) => Object.assign(field, { width: 800, unitsPerMm: 3 })],
  [
    ['ruler changed', 'check limits changed'],
    (draft) => {
      draft.sheet.rulerStep = 0.5;
      draft.thresholds.turnDeg = 7;
    },
  ],
  [
    ['1 cue changed', '1 note removed'],
    (draft) => {
      draft.cues[0]!.word = 'thud';
      draft.notes = [];
    },
  ],
  [
    ['1 cue removed', '1 note added'],
    (draft) => {
      draft.cues = [];
      draft.notes.push({ ...draft.notes[0]!, id: 'n2' });
    },
  ],
])('%j', (sentences, change) => {
  const draft = structuredClone(full) as Draft;
  change(draft);
  expect(describeChanges(full, draft as Shot)).toEqual(sentences);
});

test('what was there and is gone, or is another one, has a word each', () => {
  const backdrop = { pictures: [picture] } as unknown as NonNullable<Shot['backdrop']>;
  const withIt = { ...full, backdrop };
  expect(describeChanges(full, withIt)).toEqual(['backdrop added']);
  expect(describeChanges(withIt, full)).toEqual(['backdrop removed']);
  expect(describeChanges(withIt, { ...full, backdrop: { ...backdrop, strength: 0.5 } })).toEqual([
    'backdrop changed',
  ]);
  const shown = { ...full, shoot: { ...full.shoot, pictures: [taken('t1')] } } as Shot;
  expect(describeChanges(shown, full)).toEqual(['1 picture removed']);
  const hidden = {
    ...full,
    shoot: { ...full.shoot, pictures: [{ ...taken('t1'), isHidden: true }] },
  } as Shot;
  expect(describeChanges(shown, hidden)).toEqual(['1 picture changed']);
  expect(describeChanges({ ...full, film: 'Low Tide' }, full)).toEqual(['taken out of its film']);
  expect(describeChanges({ ...full, arcs: [{ ...full.arcs[0]!, closed: true }] }, full)).toEqual([
    'arc opened',
  ]);
});
