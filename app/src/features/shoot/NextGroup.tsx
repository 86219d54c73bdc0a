import type { NextOfFigure, NextPlacement } from '@humble/core/shoot';
import Camera from 'lucide-react-native/icons/camera';
import CopyPlus from 'lucide-react-native/icons/copy-plus';
import FastForward from 'lucide-react-native/icons/fast-forward';
import Layers from 'lucide-react-native/icons/layers-2';
import Split from 'lucide-react-native/icons/git-commit-horizontal';
import Volume from 'lucide-react-native/icons/volume-2';
import { Pressable, View } from 'react-native';
import { useCamera } from '../../cameras/cameraSession';
import { changeNext, goToNext, speakNext, startCamera, takePicture } from '../../commands/shooting';
import { useWaitingPictures } from '../../persistence/waitingPictures';
import { useShownInField } from '../../playback/shownInField';
import { useThrottledFrame } from '../../playback/playhead';
import { frameNumber } from '../../store/frameNumbers';
import { useAppDispatch, useAppStore } from '../../store/hooks';
import { useThrottledShotValue } from '../../store/throttled/hooks';
import { ActionRow } from '../../ui/ActionRow';
import { Button } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { NumericText, Words } from '../../ui/Words';
import { shootWords as words } from '../../words/shoot';
import { setFlipped } from './flipLive';
import { nextOf, size } from './next';
import { PanStepLine } from './PanStepLine';
import { Replanning } from './Replanning';

export function NextGroup() {
  const next = useThrottledShotValue(nextOf);
  return (
    <View className="gap-2">
      <CameraTrouble />
      {next ? <Increments next={next} /> : <Words size="title">{words.allTakenShort}</Words>}
      <TakeButton next={next} />
      <Replanning />
      <NextActions next={next} />
      <WaitingLine />
    </View>
  );
}

function Increments({ next }: { readonly next: NextPlacement }) {
  const rulerStep = useThrottledShotValue((shot) => shot.sheet.rulerStep);
  const { figures, frame, framesHeld, left, units } = next;
  const isAlone = figures.length === 1;
  return (
    <View>
      <View className="flex-row items-baseline justify-between">
        <Words tone="soft" size="body">
          {`${words.nextFrame(frameNumber(frame))}, ${words.heldFor(framesHeld)}`}
        </Words>
        <NumericText tone="soft" size="body">
          {words.left(left)}
        </NumericText>
      </View>
      {figures.map((figure) => (
        <Increment
          key={figure.moveId}
          figure={figure}
          frame={frame}
          isAlone={isAlone}
          unit={units === 'mm' ? 'mm' : 'units'}
          rulerStep={rulerStep}
        />
      ))}
    </View>
  );
}

interface IncrementProps {
  readonly figure: NextOfFigure;
  readonly frame: number;
  readonly isAlone: boolean;
  readonly unit: string;
  readonly rulerStep: number | null;
}

/** Read from two metres: the one number in digits as high as a thumb, with several figures half as high. */
const ALONE_PX = 82;
const ONE_OF_MANY_PX = 44;

function Increment({ figure, frame, isAlone, unit, rulerStep }: IncrementProps) {
  const { name, along, right, down, turnDeg, drawing } = figure;
  const digits = isAlone ? ALONE_PX : ONE_OF_MANY_PX;
  const ways = [
    right !== null && Math.abs(right) > 1e-6 && `${right > 0 ? '→' : '←'} ${size(right, rulerStep)}`,
    down !== null && Math.abs(down) > 1e-6 && `${down > 0 ? '↓' : '↑'} ${size(down, rulerStep)}`,
    turnDeg !== null && Math.abs(turnDeg) >= 0.05 && `${turnDeg > 0 ? '⟳' : '⟲'} ${size(turnDeg, 1)}°`,
    drawing !== null && words.drawing(drawing),
  ].filter((way) => way !== false);
  return (
    <View role="group" aria-label={words.incrementOf(name)} testID={`next-${figure.moveId}`}>
      {!isAlone && (
        <Words tone="soft" numberOfLines={1}>
          {name}
        </Words>
      )}
      {along === null ? (
        <Words size="title" strong>
          {words.putAtStart}
        </Words>
      ) : (
        <View className="flex-row items-baseline gap-2">
          <NumericText
            strong
            testID="next-along"
            style={{ fontSize: digits, lineHeight: digits * 1.06, letterSpacing: -2 }}
          >
            {size(along, rulerStep)}
          </NumericText>
          <Words size="title" tone="soft">
            {`${unit} ${along < 0 ? words.back : words.along}`}
          </Words>
        </View>
      )}
      {ways.length > 0 && (
        <NumericText size={isAlone ? 'title' : 'body'} testID="next-ways">
          {ways.join('  ')}
        </NumericText>
      )}
      <PanStepLine moveId={figure.moveId} frame={frame} />
    </View>
  );
}

/** As large as it can be: it is found without looking. */
function TakeButton({ next }: { readonly next: NextPlacement | null }) {
  const dispatch = useAppDispatch();
  const shown = useShownInField();
  const frame = useThrottledFrame();
  const isOpen = useCamera(({ status }) => status === 'open');
  if (shown !== 'live')
    return (
      <View className="gap-2">
        <Words tone="soft">{words.looking(frameNumber(frame))}</Words>
        <Button
          label={words.toNext}
          icon={Camera}
          onPress={() => dispatch(goToNext())}
          className="min-h-[72px]"
        />
      </View>
    );
  if (!next) return null;
  return (
    <Pressable
      role="button"
      aria-label={words.take(frameNumber(next.frame))}
      aria-disabled={!isOpen}
      disabled={!isOpen}
      onPress={() => void dispatch(takePicture())}
      className={`min-h-[76px] flex-row items-center justify-center gap-3 rounded-large bg-brass ${isOpen ? '' : 'opacity-40'}`}
    >
      <Camera size={30} strokeWidth={1.75} color={colour.onbrass} />
      <Words tone="onbrass" strong size="title" numberOfLines={1}>
        {words.take(frameNumber(next.frame))}
      </Words>
    </Pressable>
  );
}

function NextActions({ next }: { readonly next: NextPlacement | null }) {
  const dispatch = useAppDispatch();
  const isFirst = next?.frame === 1;
  return (
    <ActionRow
      actions={[
        {
          label: words.skip,
          icon: FastForward,
          disabled: !next || isFirst || next.left < 2,
          onPress: () => dispatch(changeNext('skipPlacement')),
        },
        {
          label: words.again,
          icon: CopyPlus,
          disabled: isFirst,
          onPress: () => dispatch(changeNext('repeatPlacement')),
        },
        {
          label: words.halfway,
          icon: Split,
          disabled: !next || isFirst,
          onPress: () => dispatch(changeNext('insertPlacement')),
        },
        { label: words.lastPicture, icon: Layers, disabled: isFirst, onHold: setFlipped },
        { label: words.speak, icon: Volume, disabled: !next, onPress: () => dispatch(speakNext()) },
      ]}
    />
  );
}

function CameraTrouble() {
  const store = useAppStore();
  const status = useCamera((state) => state.status);
  const sentence = useCamera((state) => state.sentence);
  if (status === 'opening') return <Words tone="soft">{words.openingCamera}</Words>;
  if (!sentence) return null;
  return (
    <View className="gap-2" role="alert">
      <Words tone="plum">{sentence}</Words>
      <Button label={words.tryAgain} onPress={() => void startCamera(store)} />
    </View>
  );
}

/** What is on this device alone is said as long as it is so. */
function WaitingLine() {
  const { count, problem } = useWaitingPictures();
  if (count === 0 || !problem) return null;
  return (
    <View role="status">
      <Words tone="plum">{`${words.waiting(count)}: ${problem}`}</Words>
    </View>
  );
}
