import type { Arc, Figure, Move, Shot } from '../model/schema';
import { TRACKS, type TrackName } from '../timing/tracks';
import { changedList, differsIn, isEqual } from './changedList';

type Pair<Item> = readonly [before: Item, after: Item];

const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** “2 notes added”; nothing where there are none. */
const some = (all: readonly unknown[], one: string, how: string): string[] =>
  all.length === 0 ? [] : [`${counted(all.length, one)} ${how}`];

type Change = { readonly [Key in 'added' | 'removed' | 'changed']: readonly unknown[] };

/** The same for what came and went of a list. */
const cameAndWent = ({ added, removed }: Pick<Change, 'added' | 'removed'>, one: string): string[] => [
  ...some(added, one, 'added'),
  ...some(removed, one, 'removed'),
];

/** The same for all that became of it. */
const ofList = (change: Change, one: string): string[] => [
  ...cameAndWent(change, one),
  ...some(change.changed, one, 'changed'),
];

/** Something that may be there or not: a backdrop, a sound. */
function ofOne(before: unknown, after: unknown, what: string, changedHow = 'changed'): string[] {
  if (isEqual(before, after)) return [];
  return [`${what} ${before === null ? 'added' : after === null ? 'removed' : changedHow}`];
}

function ofArc(pair: Pair<Arc>, name: string): string[] {
  const [before, after] = pair;
  if (differsIn(pair, 'closed')) return [`${name} ${after.closed ? 'closed' : 'opened'}`];
  const { added, removed, changed } = changedList(before.points, after.points);
  if (removed.length === before.points.length) return [`${name} redrawn`];
  const comesAndGoes = [
    ...some(added, 'point', `added to the ${name}`),
    ...some(removed, 'point', `removed from the ${name}`),
  ];
  if (comesAndGoes.length > 0) return comesAndGoes;
  if (changed.length > 0) return [`${name} reshaped`];
  return [differsIn(pair, 'name') ? `${name} renamed` : `${name} changed`];
}

function ofFigure(pair: Pair<Figure>, name: string): string[] {
  const how: readonly (readonly [keyof Figure, string])[] = [
    ['name', `renamed “${pair[1].name}”`],
    ['artwork', 'looks different'],
    ['height', 'resized'],
    ['pivot', 'pivot moved'],
    ['frontDeg', 'front turned'],
    ['drawingPairs', 'pins changed'],
    ['followedSpots', 'followed spots changed'],
  ];
  const said = how.filter(([member]) => differsIn(pair, member)).map(([, sentence]) => `${name} ${sentence}`);
  return said.length > 0 ? said : [`${name} changed`];
}

const TRACK_WORDS: Readonly<Record<TrackName, string>> = {
  turn: 'turn',
  size: 'size',
  sizeDown: 'size',
  opacity: 'opacity',
  offsetX: 'offset',
  offsetY: 'offset',
};

function ofMarks([before, after]: Pair<Move>): string[] {
  const marks = changedList(before.marks, after.marks);
  const moved = marks.changed.filter((pair) => differsIn(pair, 'frame', 'fraction'));
  const others = marks.changed.filter((pair) => !moved.includes(pair));
  const eased = others.filter((pair) => differsIn(pair, 'easing'));
  const rest = others.filter((pair) => !eased.includes(pair));
  return [
    ...cameAndWent(marks, 'mark'),
    ...some(moved, 'mark', 'moved'),
    ...(eased.length > 0 ? ['easing changed'] : []),
    ...some(rest, 'mark', 'changed'),
  ];
}

const MOVE_PARTS: readonly (readonly [readonly (keyof Move)[], string])[] = [
  [['framesHeld', 'exposures', 'skips'], 'exposures changed'],
  [['overrides'], 'single frames moved'],
  [['riders'], 'parts changed'],
  [['shakes'], 'shakes changed'],
  [['cycle', 'drawings'], 'drawings changed'],
  [['acted'], 'acted out again'],
  [['physics'], 'physics changed'],
  [
    ['turnsWithArc', 'correctionDeg', 'mirrored', 'backwards', 'cornerFrames', 'smoothFrames', 'lean'],
    'turning changed',
  ],
  [['before', 'after'], 'what comes before or after the marks changed'],
];

function ofMove(pair: Pair<Move>): string[] {
  const keys = TRACKS.filter(({ name }) => !isEqual(pair[0].tracks[name], pair[1].tracks[name]));
  return [
    ...ofMarks(pair),
    ...new Set(keys.map(({ name }) => `${TRACK_WORDS[name]} keys changed`)),
    ...MOVE_PARTS.filter(([members]) => differsIn(pair, ...members)).map(([, said]) => said),
  ];
}

/** Names things only where there are several of them, so that the name says something. */
const nameIn = (
  all: readonly { readonly name: string }[],
  what: string,
  { name }: { readonly name: string },
): string => (all.length > 1 ? `${what} “${name}”` : what);

function ofShotItself(pair: Pair<Shot>): string[] {
  const [before, after] = pair;
  const { field } = after;
  return [
    ...(before.name !== after.name ? [`renamed “${after.name}”`] : []),
    ...(before.film !== after.film
      ? [after.film === '' ? 'taken out of its film' : `put into the film “${after.film}”`]
      : []),
    ...(before.rate !== after.rate ? [`${after.rate} frames a second, was ${before.rate}`] : []),
    ...(before.lengthFrames !== after.lengthFrames
      ? [`${after.lengthFrames} frames long, was ${before.lengthFrames}`]
      : []),
    ...(differsIn([before.field, field], 'width', 'height')
      ? [`field ${field.width} × ${field.height}`]
      : []),
    ...(differsIn([before.field, field], 'unitsPerMm') ? ['scale changed'] : []),
    ...(differsIn(pair, 'sheet') ? ['ruler changed'] : []),
    ...(differsIn(pair, 'thresholds') ? ['check limits changed'] : []),
  ];
}

function ofTakes([before, after]: Pair<Shot>): string[] {
  const { added, removed, changed } = changedList(before.takes, after.takes);
  const currentOf = ({ takes }: Shot): string | undefined => takes.find(({ kept }) => kept === null)?.id;
  const isAnother = currentOf(before) !== currentOf(after);
  return [
    ...cameAndWent({ added, removed }, 'take'),
    ...(isAnother && added.length === 0 && removed.length === 0 ? ['another take chosen'] : []),
    ...(changed.some((pair) => differsIn(pair, 'name')) ? ['take renamed'] : []),
  ];
}

function ofPictures([{ shoot: before }, { shoot: after }]: Pair<Shot>): string[] {
  const { added, removed, changed } = changedList(before.pictures, after.pictures);
  return [
    ...some(added, 'picture', 'taken'),
    ...some(removed, 'picture', 'removed'),
    ...some(changed, 'picture', 'changed'),
    ...ofOne(before.perspective, after.perspective, 'perspective'),
  ];
}

/**
 * What became of a shot from one revision to the next, in plain words: “2 marks moved”, “arc reshaped”. The most telling
 * first, each said once; empty where both say the same.
 */
export function describeChanges(before: Shot, after: Shot): readonly string[] {
  const pair = [before, after] as const;
  const arcs = changedList(before.arcs, after.arcs);
  const figures = changedList(before.figures, after.figures);
  const moves = changedList(before.moves, after.moves);
  const said = new Set([
    ...ofPictures(pair),
    ...cameAndWent(arcs, 'arc'),
    ...arcs.changed.flatMap((each) => ofArc(each, nameIn(after.arcs, 'arc', each[1]))),
    ...cameAndWent(figures, 'figure'),
    ...figures.changed.flatMap((each) => ofFigure(each, nameIn(after.figures, 'figure', each[1]))),
    ...moves.changed.flatMap(ofMove),
    ...ofTakes(pair),
    ...ofShotItself(pair),
    ...ofOne(before.backdrop, after.backdrop, 'backdrop'),
    ...ofList(changedList(before.planes, after.planes), 'plane'),
    ...ofOne(before.sound, after.sound, 'sound'),
    ...ofList(changedList(before.cues, after.cues), 'cue'),
    ...ofList(changedList(before.notes, after.notes), 'note'),
  ]);
  if (said.size > 0 || isEqual(before, after)) return [...said];
  return ['other details changed'];
}
