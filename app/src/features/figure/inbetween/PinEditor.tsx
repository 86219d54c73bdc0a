import { distance, type Figure, type Look, lookOf, type Pin, type Vector } from '@humble/core';
import { guessedOnSecond, pinsBetween } from '@humble/core/views';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Circle, G, Image, Path, Text } from 'react-native-svg';
import { pictureAddress } from '../../../persistence/pictures';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { useAppStore, useEdit } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { useThrottledStore } from '../../../store/throttled/hooks';
import { selectOpenShot } from '../../../store/selectors/active';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { createUndoGroup } from '../../../ui/undoGroup';
import { useLatest } from '../../../ui/useLatest';
import { Words } from '../../../ui/Words';
import { inbetweenWords as words } from '../../../words/inbetween';
import { circlePath } from '../../../ui/circlePath';
import { fittedLook, LOOK_HEIGHT } from '../fittedLook';

export type Side = 'first' | 'second';

/** A spot that was tapped on one drawing and waits for the other. */
export interface PendingPin {
  readonly side: Side;
  readonly at: Vector;
}

/** A pin is taken from this near, pixels. */
const REACH_PX = 18;
const DIGITS = 10;
const rounded = ({ x, y }: Vector): Vector => ({
  x: Math.round(x * DIGITS) / DIGITS,
  y: Math.round(y * DIGITS) / DIGITS,
});

interface PinEditorProps {
  readonly figure: Figure;
  readonly first: number;
  readonly second: number;
  readonly selectedId: string | null;
  readonly onSelect: (pinId: string | null) => void;
}

/** Both drawings side by side: a tap on each puts a pin, a drag moves one. */
export function PinEditor(props: PinEditorProps) {
  const { figure, first, second } = props;
  const [width, setWidth] = useState(0);
  const [pending, setPending] = useState<PendingPin | null>(null);
  const edit = useEdit();
  const store = useAppStore();
  const throttled = useThrottledStore();
  useLiveDrawing();
  const live = useLatest({ ...props, width, pending, edit });
  const drag = useMemo(() => {
    const held = { undoGroup: '', side: 'first' as Side, pinId: null as string | null, isNew: false };
    const spotAt = (side: Side, x: number, y: number): Vector => {
      const now = live();
      const half = now.width / 2;
      const look = lookOf(now.figure, side === 'first' ? now.first : now.second);
      return rounded(fittedLook(look, half).toLook({ x: side === 'first' ? x : x - half, y }));
    };
    const put = (at: Vector): void => {
      const now = live();
      const of = { figureId: now.figure.id, first: now.first, second: now.second };
      if (held.pinId !== null)
        now.edit('setPin', { ...of, pinId: held.pinId, set: { [held.side]: at } }, held.undoGroup);
      else if (now.pending && now.pending.side !== held.side) {
        const spots = { first: at, second: at, [now.pending.side]: now.pending.at };
        if (!now.edit('addPin', { ...of, at: spots }, held.undoGroup)) return;
        setPending(null);
        const after = selectOpenShot(store.getState()).figures.find(({ id }) => id === of.figureId)!;
        const pins = pinsBetween(after, of.first, of.second);
        held.pinId = pins[pins.length - 1]!.id;
        now.onSelect(held.pinId);
      } else setPending({ side: held.side, at });
    };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin(({ x, y }) => {
        const now = live();
        const side: Side = x < now.width / 2 ? 'first' : 'second';
        const look = lookOf(now.figure, side === 'first' ? now.first : now.second);
        const map = fittedLook(look, now.width / 2);
        const here = { x: side === 'first' ? x : x - now.width / 2, y };
        const near = now.pending
          ? undefined
          : [...pinsBetween(now.figure, now.first, now.second)]
              .sort((a, b) => distance(map.toView(a[side]), here) - distance(map.toView(b[side]), here))
              .find((pin) => distance(map.toView(pin[side]), here) <= REACH_PX);
        Object.assign(held, { undoGroup: createUndoGroup('pin'), side, pinId: near?.id ?? null });
        if (near) now.onSelect(near.id);
        else put(spotAt(side, x, y));
        // The pins follow the finger by themselves; the rest of the panel follows them now and then.
        throttled.begin();
      })
      .onUpdate(({ x, y, translationX, translationY }) => {
        // A tap is not a drag: a pin that is only chosen stays where it is.
        if (Math.hypot(translationX, translationY) > 2) put(spotAt(held.side, x, y));
      })
      .onFinalize(() => throttled.end());
  }, [live, store, throttled]);
  const pins = pinsBetween(figure, first, second);
  const pinsIn = (state: RootState): readonly Pin[] => {
    const now = state.shot.present.shot?.figures.find(({ id }) => id === figure.id);
    return now ? pinsBetween(now, first, second) : pins;
  };
  return (
    <View>
      <GestureDetector gesture={drag} touchAction="none">
        <View
          testID="pin-editor"
          role="img"
          aria-label={words.pinEditor}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          style={{ height: LOOK_HEIGHT }}
          className="mt-2 cursor-crosshair rounded-small border border-line bg-ground"
        >
          {width > 0 && (
            <Drawing width={width} height={LOOK_HEIGHT}>
              {(['first', 'second'] as const).map((side) => (
                <Half
                  key={side}
                  side={side}
                  look={lookOf(figure, side === 'first' ? first : second)}
                  width={width / 2}
                  pins={pins}
                  selectedId={props.selectedId}
                  pending={pending}
                  pinsIn={pinsIn}
                  guess={
                    pending?.side === 'first' ? guessedOnSecond(figure, { first, second }, pending.at) : null
                  }
                />
              ))}
              <Path d={`M${width / 2} 8V${LOOK_HEIGHT - 8}`} stroke={colour.line} strokeWidth={1} />
            </Drawing>
          )}
        </View>
      </GestureDetector>
      <Words tone="soft" role="status">
        {pending ? words.nowTheOther : words.pinsSentence}
      </Words>
    </View>
  );
}

interface HalfProps {
  readonly side: Side;
  readonly look: Look;
  readonly width: number;
  readonly pins: readonly Pin[];
  readonly selectedId: string | null;
  readonly pending: PendingPin | null;
  readonly guess: Vector | null;
  /** The pins as they are now: they follow the finger. */
  readonly pinsIn: (state: RootState) => readonly Pin[];
}

const PIN_PX = 6;

function Half({ side, look, width, pins, selectedId, pending, guess, pinsIn }: HalfProps) {
  const map = fittedLook(look, width);
  /** Circles round the pins that are not selected, or round the one that is. */
  const dots =
    (only: string | null) =>
    (state: RootState): string =>
      pinsIn(state)
        .filter(({ id }) => (only === null ? id !== selectedId : id === only))
        .map((pin) => circlePath(map.toView(pin[side]), PIN_PX))
        .join('');
  const own = pending?.side === side ? map.toView(pending.at) : null;
  const probable = side === 'second' && guess ? map.toView(guess) : null;
  return (
    <G transform={side === 'first' ? undefined : `translate(${width} 0)`}>
      <G transform={`translate(${map.x} ${map.y}) scale(${map.scale})`}>
        {look.picture && (
          <Image
            href={pictureAddress(look.picture.sha256)}
            width={look.width}
            height={look.height}
            preserveAspectRatio="none"
          />
        )}
        <Path
          d={look.silhouette}
          fill="none"
          stroke={side === 'first' ? colour.cool : colour.warm}
          strokeWidth={1.5 / map.scale}
        />
      </G>
      <LivePath path={dots(null)} fill={colour.card} stroke={colour.card} strokeWidth={6} />
      <LivePath path={dots(null)} fill={colour.card} stroke={colour.ink} strokeWidth={2} />
      <LivePath path={dots(selectedId ?? '')} fill={colour.brass} stroke={colour.brass} strokeWidth={2} />
      {pins.map((pin, i) => {
        const at = map.toView(pin[side]);
        return (['card', 'ink'] as const).map((tone) => (
          <Text
            key={`${pin.id} ${tone}`}
            x={at.x}
            y={at.y - PIN_PX - 5}
            fontSize={12}
            fontFamily={MONO}
            textAnchor="middle"
            fill={colour[tone]}
            stroke={tone === 'card' ? colour.card : undefined}
            strokeWidth={4}
          >
            {String(i + 1)}
          </Text>
        ));
      })}
      {own && (
        <Circle cx={own.x} cy={own.y} r={PIN_PX} fill={colour.brass} stroke={colour.card} strokeWidth={2} />
      )}
      {probable && (
        <Circle
          cx={probable.x}
          cy={probable.y}
          r={PIN_PX + 3}
          fill="none"
          stroke={colour.brass}
          strokeWidth={2}
          strokeDasharray="3 3"
        />
      )}
    </G>
  );
}
