import { freshShape } from '../arc/readyShapes';
import type { Edit } from '../edits/edits';
import type { FramesHeld, Outside } from '../model/schema';
import type { Chart, Toward } from '../exposure/charts';
import { fc } from './property';
import { everyEasing } from './shapes';

const moveId = fc.constantFrom('move1', 'move1', 'move1', 'move7');
const markId = fc.integer({ min: 1, max: 6 }).map((n) => `m${n}`);
const markIds = fc.uniqueArray(markId, { minLength: 1, maxLength: 3 });
const frame = fc.integer({ min: -1, max: 60 });
const fraction = fc.double({ min: -2, max: 3, noNaN: true });
const takesLater = fc.boolean();
const outside = fc.constantFrom<Outside>('hold', 'repeat', 'swing', 'continue');
const framesHeld = fc.constantFrom<FramesHeld>(1, 2, 3);
const toward = fc.constantFrom<Toward>('start', 'end', 'both');
const takeId = fc.constantFrom('take1', 'take2', 'take9');
const track = fc.constantFrom('turn', 'offsetX');
const figureId = fc.constantFrom('figure1', 'figure1', 'figure2', 'figure9');
const keyIds = fc.uniqueArray(
  fc.integer({ min: 1, max: 4 }).map((n) => `k${n}`),
  { minLength: 1, maxLength: 3 },
);
const takenId = fc.constantFrom('taken1', 'taken1', 'taken2', 'taken3', 'taken9');
const shift = fc.integer({ min: -400, max: 400 });
const degrees = fc.double({ min: -40_000, max: 40_000, noNaN: true });
const chart: fc.Arbitrary<Chart> = fc.oneof(
  fc.constant<Chart>({ kind: 'even' }),
  fc.record({
    kind: fc.constantFrom('halves' as const, 'thirds' as const),
    toward,
    last: fc.option(fc.integer({ min: -1, max: 9 }), { nil: undefined }),
  }),
  fc.record({ kind: fc.constant('favouring' as const), percent: fc.integer({ min: -5, max: 120 }) }),
);

const someTime = fc.option(moveId, { nil: null });
const later = fc.constantFrom('follow', 'stay');
const passage = { moveId: someTime, from: frame, until: frame };

const edit = (name: Edit['name'], args: Readonly<Record<string, fc.Arbitrary<unknown>>>) =>
  fc.record({ name: fc.constant(name), args: fc.record(args) }) as unknown as fc.Arbitrary<Edit>;

/** Edits of a timing as a person makes them, sensible or not; ids that are not there included. */
export const anyTimingEdit: fc.Arbitrary<Edit> = fc.oneof(
  edit('stretchPassage', { ...passage, frames: frame, later }),
  edit('shiftPassage', { ...passage, by: frame, later }),
  edit('insertTime', { moveId: someTime, frame, frames: fc.integer({ min: -20, max: 20 }) }),
  edit('keepSteps', {
    moveId,
    markId: fc.option(markId, { nil: null }),
    most: fc.double({ min: -1, max: 60, noNaN: true }),
    gives: fc.constantFrom('frames', 'easing'),
  }),
  edit('reversePassage', passage),
  edit('goOutAndBack', passage),
  edit('repeatPassage', { ...passage, times: fc.integer({ min: 1, max: 4 }) }),
  edit('setRate', {
    rate: fc.constantFrom(12, 24, 25, 30),
    keeps: fc.constantFrom('frames', 'seconds'),
    moveId: someTime,
  }),
  edit('addMark', { moveId, frame, fraction: fc.option(fraction, { nil: undefined }) }),
  edit('deleteMarks', { moveId, markIds }),
  edit('moveMarks', { moveId, markIds, byFrames: frame, byFraction: fraction, takesLater }),
  edit('setMarks', {
    moveId,
    markIds,
    kind: fc.constantFrom('stop', 'pass'),
    label: fc.constantFrom('key', ''),
  }),
  edit('tieMark', { moveId, markId, pointId: fc.constantFrom('p1', 'p2', 'p4', null) }),
  edit('pasteMarks', {
    moveId,
    copied: fc.constant([
      { frame: 0, fraction: 0.4, kind: 'pass', easing: { kind: 'even' }, label: '' },
      { frame: 3, fraction: 1.4, kind: 'stop', easing: { kind: 'flow' }, label: 'key' },
    ]),
    at: fc.integer({ min: 1, max: 50 }),
  }),
  edit('insertHold', {
    moveId,
    frame: fc.integer({ min: 1, max: 50 }),
    frames: fc.integer({ min: -1, max: 9 }),
    takesLater,
  }),
  edit('setHold', { moveId, frame, frames: fc.integer({ min: -1, max: 9 }), takesLater }),
  edit('clearTiming', { moveId }),
  edit('setOutside', { moveId, before: outside, after: outside }),
  edit('setEasings', { moveId, markIds, easing: everyEasing(40) }),
  edit('easingToTicks', { moveId, markId }),
  edit('moveTick', { moveId, frame, fraction, reachFrames: fc.integer({ min: 0, max: 12 }) }),
  edit('setIncrement', {
    moveId,
    frame,
    increment: fc.double({ min: -0.3, max: 0.6, noNaN: true }),
    moves: fc.constantFrom('rest', 'end'),
  }),
  edit('drawSpacing', {
    moveId,
    markId,
    drawn: fc.array(fc.tuple(frame, fc.double({ min: -0.1, max: 0.5, noNaN: true })), { maxLength: 5 }),
  }),
  edit('makeChart', { moveId, markId, chart }),
  edit('setDrawingsBetween', { moveId, markId, count: fc.integer({ min: 0, max: 20 }), takesLater }),
  edit('spreadPictures', {
    moveId,
    count: fc.integer({ min: 0, max: 40 }),
    manner: fc.constantFrom('even', 'eased', 'as-it-is'),
  }),
  edit('setFramesHeld', { moveId, framesHeld }),
  edit('setRangeHeld', {
    moveId,
    from: fc.integer({ min: 1, max: 40 }),
    until: fc.integer({ min: 1, max: 50 }),
    framesHeld,
  }),
  edit('skipExposure', { moveId, frame, closesUp: fc.boolean() }),
  edit('bringBack', { moveId, frame }),
  edit('putByHand', { moveId, frame: fc.integer({ min: 1, max: 50 }), dx: fraction, dy: fraction }),
  edit('holdPicture', { moveId, frame, frames: fc.integer({ min: -1, max: 12 }) }),
  edit('addTake', { name: fc.constantFrom(undefined, 'Slower', ' ') }),
  edit('chooseTake', { takeId }),
  edit('removeTake', { takeId }),
  edit('addNote', {
    from: fc.integer({ min: 0, max: 60 }),
    until: fc.integer({ min: 1, max: 60 }),
    text: fc.constantFrom('Blinks', ' '),
    figureId: fc.constantFrom(null, 'figure1', 'figure2'),
  }),
  edit('addCues', {
    cues: fc.array(
      fc.record({ seconds: fc.integer({ min: -1, max: 9 }), word: fc.constantFrom('thud', '') }),
    ),
  }),
  edit('letBe', { moveId, check: fc.constant('twins'), frame: fc.integer({ min: 1, max: 50 }) }),
  edit('makePhysical', {
    shape: fc
      .constantFrom('swing' as const, 'toss' as const, 'bounces' as const, 'line' as const)
      .map((kind) => freshShape(kind, { width: 300, height: 90 })),
    damping: fc.constantFrom(0, 0.2),
    swings: fc.integer({ min: 1, max: 4 }),
    rolls: fc.constantFrom('slides', 'ball'),
    miniature: fc.constantFrom(1, 6),
  }),
  edit('setKey', { moveId, track, frame, value: fc.option(degrees, { nil: undefined }) }),
  edit('moveKeys', { moveId, track, keyIds, byFrames: frame, byValue: degrees }),
  edit('deleteKeys', { moveId, track, keyIds }),
  edit('setKeyEasing', { moveId, track, keyIds, easing: everyEasing(40) }),
  edit('attachFigure', {
    figureId,
    arcId: fc.constantFrom('arc1', 'arc2'),
    frame,
    how: fc.oneof(fc.constantFrom('start', 'where-it-is'), fc.record({ fraction })),
  }),
  edit('detachFigure', { figureId, frame }),
  edit('orderFigure', { figureId, to: frame }),
  edit('setOffset', {
    moveId,
    frame,
    x: degrees,
    y: degrees,
    reach: fc.constantFrom('here', 'after', 'all'),
  }),
  edit('setOffsetIn', { moveId, offsetIn: fc.constantFrom('field', 'riding') }),
  edit('takePicture', {
    picture: fc.constant({
      sha256: 'c'.repeat(64),
      type: 'image/jpeg' as const,
      name: 'taken',
      width: 1920,
      height: 1080,
    }),
  }),
  edit('setActual', { takenId, moveId, x: shift, y: shift }),
  edit('setActualStep', { takenId, moveId, along: shift }),
  edit('standsAsPlanned', { takenId, moveId }),
  edit('hideTaken', { takenId, isHidden: fc.boolean() }),
  edit('holdTaken', { takenId, frames: fc.integer({ min: -1, max: 6 }) }),
  edit('skipPlacement', {}),
  edit('repeatPlacement', {}),
  edit('insertPlacement', {}),
  edit('shootOverFrom', { frame }),
  edit('bringTakenBack', { takenId }),
  edit('replan', {
    takenId,
    moveId,
    way: fc.oneof(
      fc.record({ by: fc.constantFrom('at-once', 'spread', 'shift') }),
      fc.record({ by: fc.constant('within'), pictures: fc.integer({ min: -1, max: 8 }) }),
    ),
  }),
  edit('arcThroughActual', { takenId, moveId }),
  edit('setDrawing', { moveId, frame, drawing: fc.constantFrom(null, 1, 2, 9) }),
  edit('setTurning', { moveId, cornerFrames: fc.constantFrom(0, 3, 12), mirrored: fc.boolean() }),
  edit('backOnPlan', { moveId, frames: fc.constantFrom(undefined, [2, 3, 9]) }),
);
