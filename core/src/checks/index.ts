import type { Move, Shot } from '../model/schema';
import { isCamera } from '../motion/cameraView';
import { evaluate } from '../motion/evaluate';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import { firstFrame } from '../timing/placeInTime';
import type { Check, CheckedMove, CheckedTravel, Finding, Gravity } from './check';
import { foldingBetween } from './foldingBetween';
import { jumpAtMark } from './jumpAtMark';
import { jumpingPart } from './jumpingPart';
import { offTheArc } from './offTheArc';
import { noRamp } from './noRamp';
import { openCycle } from './openCycle';
import { outOfPicture } from './outOfPicture';
import { pastArtwork } from './pastArtwork';
import { pastTheEnd } from './pastTheEnd';
import { quickPan } from './quickPan';
import { shortHold } from './shortHold';
import { slipping } from './slipping';
import { snappingHeading } from './snappingHeading';
import { spotCorner } from './spotCorner';
import { spotStrobing } from './spotStrobing';
import { spotSudden } from './spotSudden';
import { stepsOf } from './steps';
import { strobing } from './strobing';
import { suddenSpacing } from './suddenSpacing';
import { takenJump } from './takenJump';
import { takenTwice } from './takenTwice';
import { tooSmall } from './tooSmall';
import { twins } from './twins';
import { unseenArrival } from './unseenArrival';
import { unseenMark } from './unseenMark';

export type { FirstFrameNumber } from '../model/frameNumbers';
export type { CheckedMove, CheckedTravel, Finding, Gravity } from './check';

export const CHECKS = { pastTheEnd, unseenArrival, unseenMark } satisfies Readonly<
  Record<string, Check<CheckedMove>>
>;

export const TRAVEL_CHECKS = {
  suddenSpacing,
  jumpAtMark,
  offTheArc,
  twins,
  tooSmall,
  strobing,
  openCycle,
  shortHold,
  slipping,
  snappingHeading,
  jumpingPart,
  outOfPicture,
  takenTwice,
  takenJump,
  spotSudden,
  spotStrobing,
  spotCorner,
  foldingBetween,
  pastArtwork,
  quickPan,
  noRamp,
} satisfies Readonly<Record<string, Check<CheckedTravel>>>;

export type CheckName = keyof typeof CHECKS;
export type TravelCheckName = keyof typeof TRAVEL_CHECKS;

export const findingsOf = (
  name: CheckName,
  checked: Omit<CheckedMove, 'frameNumber'>,
  first: FirstFrameNumber,
): readonly Finding[] => CHECKS[name].find({ ...checked, frameNumber: numberedFrom(first) });

export interface ShotFinding extends Finding {
  readonly check: CheckName | TravelCheckName;
  readonly gravity: Gravity;
  readonly moveId: string;
  readonly figure: string;
  readonly isLetBe: boolean;
}

const saidIn =
  ({ unitsPerMm }: Shot['field']) =>
  (length: number): string =>
    unitsPerMm === null ? `${length.toFixed(1)} units` : `${(length / unitsPerMm).toFixed(2)} mm`;

const isLetBe = ({ letBe }: Move, check: string, { from, until }: Finding): boolean =>
  letBe.some((one) => one.check === check && one.frame >= from && one.frame <= until);

const numberedFrom =
  (first: FirstFrameNumber) =>
  (frame: number): number =>
    frameNumber(frame, first);

/** What is asked of a figure that is seen, and makes no sense of the frame that sees it. */
const OF_FIGURES_ONLY: ReadonlySet<string> = new Set<TravelCheckName>([
  'offTheArc',
  'twins',
  'tooSmall',
  'strobing',
  'slipping',
  'outOfPicture',
]);

function checkMove(shot: Shot, move: Move, first: FirstFrameNumber): readonly ShotFinding[] {
  const travel = evaluate(shot).travels.find((one) => one.move === move)!;
  const { arc, figure } = travel;
  const checked: CheckedTravel = {
    shot,
    travel,
    steps: stepsOf(travel, shot),
    said: saidIn(shot.field),
    frameNumber: numberedFrom(first),
  };
  const named = (
    check: ShotFinding['check'],
    gravity: Gravity,
    findings: readonly Finding[],
  ): ShotFinding[] =>
    findings.map((finding) => ({
      ...finding,
      check,
      gravity,
      moveId: move.id,
      figure: figure.name,
      isLetBe: isLetBe(move, check, finding),
    }));
  return [
    ...Object.entries(CHECKS).flatMap(([name, { gravity, find }]) =>
      named(name as CheckName, gravity, find({ move, arc, shot, frameNumber: checked.frameNumber })),
    ),
    ...Object.entries(TRAVEL_CHECKS).flatMap(([name, { gravity, find }]) =>
      isCamera(figure) && OF_FIGURES_ONLY.has(name)
        ? []
        : named(name as TravelCheckName, gravity, find(checked)),
    ),
  ].sort((a, b) => a.from - b.from);
}

/**
 * Everything that the checks find in a shot, move by move, in order of time. Hidden figures are left out.
 * @param first from what the reader counts frames
 */
export const checkShot = (shot: Shot, first: FirstFrameNumber = 1): readonly ShotFinding[] => {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  return shot.moves
    .filter(({ figureId }) => seen.has(figureId))
    .sort((a, b) => firstFrame(a) - firstFrame(b))
    .flatMap((move) => checkMove(shot, move, first));
};
