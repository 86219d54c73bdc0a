import { figureWords as words } from '../../words/figure';
import { TERMS } from '../../words/terms';
import { type BetweenPoses, betweenPoses, type Mark, type Move, poseAim, spanIndexAt } from '@humble/core';
import type { LucideIcon } from 'lucide-react-native';
import CornerDownRight from 'lucide-react-native/icons/corner-down-right';
import Minus from 'lucide-react-native/icons/minus';
import Pause from 'lucide-react-native/icons/pause';
import Spline from 'lucide-react-native/icons/spline';
import Trash from 'lucide-react-native/icons/trash';
import { Fragment, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { useAppDispatch, useEdit, useSettings } from '../../store/hooks';
import { goTo, useThrottledFrame } from '../../playback/playhead';
import { putFigure } from '../../commands/posing';
import { selectFigurePlace } from '../../store/selectors/selection';
import { useLengths } from '../../store/lengths';
import { settingsChanged } from '../../store/settingsSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { colour } from '../../ui/colour';
import { PlaceFields } from '../../ui/PlaceFields';
import { Segmented } from '../../ui/Segmented';
import { NumericText, Words } from '../../ui/Words';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

const PATHS = [
  { value: 'straight', label: words.straight },
  { value: 'curved', label: words.curved },
] as const;

const BETWEEN = [...PATHS, { value: 'snap', label: words.jump }] as const;

/** Of more poses than this only those about the current one are shown. */
const MAX_SHOWN = 14;

export type HoldOf = (move: Move, frame: number) => ReactNode;

interface PosesCardProps {
  readonly move: Move;
  /** What makes the figure hold from a frame on: that belongs to the timing. */
  readonly hold: HoldOf;
}

export function PosesCard({ move, hold }: PosesCardProps) {
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { posePath } = useSettings();
  const aim = poseAim(move, frame);
  return (
    <Card title={words.poses} term={TERMS.pose} aside={words.onThisArc(move.marks.length)}>
      <Words tone="soft">
        {aim.markId
          ? words.dragMovesPose(frameNumber(aim.frame))
          : words.dragAddsPose(frameNumber(aim.frame))}
      </Words>
      {aim.frame !== frame && (
        <Words role="status" tone="plum" className="mt-1">
          {words.heldFrameNote(frameNumber(frame), frameNumber(aim.frame))}
        </Words>
      )}
      <Place move={move} />
      <FramesOfPoses move={move} frame={aim.frame} />
      <Between move={move} frame={frame} />
      <View className="mt-3 gap-1">
        <Words tone="soft">{words.pathToNewPoses}</Words>
        <Segmented
          label={words.pathToNewPoses}
          value={posePath}
          options={PATHS}
          onChange={(path) => dispatch(settingsChanged({ posePath: path }))}
        />
      </View>
      {hold(move, aim.frame)}
      {aim.markId && (
        <View className="mt-2 flex-row">
          <Button
            label={words.removePose}
            icon={Trash}
            kind="plum"
            onPress={() => edit('deletePose', { moveId: move.id, markId: aim.markId! })}
          />
        </View>
      )}
    </Card>
  );
}

function Place({ move }: { readonly move: Move }) {
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const lengths = useLengths();
  const x = useThrottledSelector((state) => selectFigurePlace(state, frame)?.x ?? 0);
  const y = useThrottledSelector((state) => selectFigurePlace(state, frame)?.y ?? 0);
  return (
    <View className="mt-2">
      <PlaceFields
        length={lengths.field}
        x={x}
        y={y}
        onChange={(to, undoGroup) => void dispatch(putFigure({ move, frame, to }, undoGroup))}
      />
    </View>
  );
}

function FramesOfPoses({ move, frame }: { readonly move: Move; readonly frame: number }) {
  const current = spanIndexAt(move, frame);
  const start = Math.max(0, Math.min(current - MAX_SHOWN / 2, move.marks.length - MAX_SHOWN));
  const shown = move.marks.slice(start, start + MAX_SHOWN);
  return (
    <View role="group" aria-label={words.framesWithAPose} className="mt-2 flex-row flex-wrap items-center">
      {shown.map((mark, i) => (
        <Fragment key={mark.id}>
          <Pressable
            role="button"
            aria-label={words.goToThePoseOnFrame(frameNumber(mark.frame))}
            aria-pressed={mark.frame === frame}
            onPress={() => goTo(mark.frame)}
            className={`h-[44px] min-w-[44px] items-center justify-center rounded-small border px-2 ${mark.frame === frame ? 'border-brass bg-brasswash' : 'border-line bg-ground'}`}
          >
            <NumericText strong={mark.frame === frame}>{String(frameNumber(mark.frame))}</NumericText>
          </Pressable>
          {shown[i + 1] && <WayBetween move={move} from={mark} to={shown[i + 1]!} frame={frame} />}
        </Fragment>
      ))}
    </View>
  );
}

const WAY_ICONS: Record<BetweenPoses | 'hold', LucideIcon> = {
  straight: Minus,
  curved: Spline,
  snap: CornerDownRight,
  hold: Pause,
};

interface WayBetweenProps {
  readonly move: Move;
  readonly from: Mark;
  readonly to: Mark;
  readonly frame: number;
}

function WayBetween({ move, from, to, frame }: WayBetweenProps) {
  const how = useThrottledSelector(({ shot }) =>
    shot.present.shot ? betweenPoses(shot.present.shot, move.id, from.id) : null,
  );
  const Icon = WAY_ICONS[how ?? 'hold'];
  const isHere = frame > from.frame && frame < to.frame;
  return (
    <Pressable
      role="button"
      aria-label={words.whatLiesBetween(frameNumber(from.frame), frameNumber(to.frame))}
      aria-pressed={isHere}
      onPress={() => goTo(Math.floor((from.frame + to.frame) / 2))}
      className={`mx-[2px] h-[44px] w-[32px] items-center justify-center rounded-small ${isHere ? 'bg-brasswash' : ''}`}
    >
      <Icon size={18} strokeWidth={1.75} color={isHere ? colour.brass : colour.soft} />
    </Pressable>
  );
}

function Between({ move, frame }: { readonly move: Move; readonly frame: number }) {
  const shot = useThrottledShot();
  const edit = useEdit();
  const index = Math.min(spanIndexAt(move, frame), move.marks.length - 2);
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  const how = betweenPoses(shot, move.id, from.id);
  return (
    <View className="mt-3 gap-1">
      <Words tone="soft">{words.fromFrameToFrame(frameNumber(from.frame), frameNumber(to.frame))}</Words>
      {how === null ? (
        <Words>{words.theFigureHolds}</Words>
      ) : (
        <Segmented
          label={words.fromFrameToFrame(frameNumber(from.frame), frameNumber(to.frame))}
          value={how}
          options={BETWEEN}
          onChange={(value: BetweenPoses) =>
            edit('setBetweenPoses', { moveId: move.id, markId: from.id, how: value })
          }
        />
      )}
    </View>
  );
}
