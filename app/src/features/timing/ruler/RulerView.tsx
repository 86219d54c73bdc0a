import type { Vector } from '@humble/core';
import type { UnrolledArc } from '@humble/core/views';
import { type ReactNode, useMemo, useState } from 'react';
import { View } from 'react-native';
import { pictureMenu } from '../../../commands/menus/timingMenus';
import { interactiveSurface, type ZoomedAxis } from '../../../interaction/interactiveSurface';
import { InteractiveView } from '../../../interaction/InteractiveView';
import type { Target } from '../../../interaction/target';
import { useViewKeys } from '../../../interaction/useViewKeys';
import { useZoom } from '../../../interaction/useZoom';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import { currentFrame } from '../../../playback/playhead';
import { useAppStore } from '../../../store/hooks';
import { useThrottledSelector } from '../../../store/throttled/hooks';
import { at, type Axis, isInSight, valueAt } from '../../../ui/axis';
import { fixed } from '../../../ui/numbers';
import { Words } from '../../../ui/Words';
import { timingWords as words } from '../../../words/timing';
import { markTarget } from '../targets/markTarget';
import { arcDistanceAtPlayhead, frameNear, type PlacedMark, selectTiming } from '../targets/selectTiming';
import { tickTarget } from '../targets/tickTarget';
import { timingGround } from '../targets/timingGround';
import type { TimingView } from '../targets/timingView';
import { FitButton } from '../views/FitButton';
import { HEIGHT, RulerDrawing, SIDE } from './RulerDrawing';
import { RULER_LIVE_VIEW } from './rulerLiveView';

interface RulerProps {
  readonly under: (axis: Axis, width: number) => ReactNode;
}

export function RulerView({ under }: RulerProps) {
  const ruler = useThrottledSelector((state) => selectTiming(state)?.ruler ?? null);
  if (!ruler) return <Words tone="soft">{words.theArcAppearsHereAsA}</Words>;
  return <RulerInHand ruler={ruler} under={under} />;
}

const describe = ({ ticks, to, units }: UnrolledArc): string =>
  words.rulerDescription(ticks.length, fixed(to, 1), units === 'mm' ? 'millimetres' : words.fieldUnits);

function RulerInHand({ ruler, under }: Pick<RulerProps, 'under'> & { readonly ruler: UnrolledArc }) {
  const store = useAppStore();
  const [width, setWidth] = useState(0);
  const whole = useMemo(() => ({ from: ruler.from, to: ruler.to }), [ruler.from, ruler.to]);
  const zoom = useZoom(whole);
  const { from, to } = zoom.range;
  const axis: Axis = useMemo(
    () => ({ from, to, start: SIDE, end: Math.max(SIDE + 1, width - SIDE) }),
    [from, to, width],
  );
  const zooms: readonly ZoomedAxis[] = [
    {
      zoom,
      along: 'x',
      axisAt: () => axis,
      takesWheel: () => true,
      focus: () => arcDistanceAtPlayhead(ruler),
    },
  ];
  const frameAt = ({ x }: Vector): number => {
    const now = selectTiming(store.getState());
    return now ? frameNear(now.ruler, valueAt(axis, x), currentFrame()) : currentFrame();
  };
  const meaning = ({ x }: Vector) => ({ frame: null, arcDistance: valueAt(axis, x) });
  const surface = interactiveSurface<TimingView>({
    view: ({ y }) => {
      const now = selectTiming(store.getState());
      // Above the ticks the needle is dragged; beside them a finger may lie anywhere along the line.
      const place = ({ arcDistance }: PlacedMark): Vector | null =>
        y > NEEDLE_ZONE && isInSight(axis, arcDistance) ? { x: at(axis, arcDistance), y } : null;
      return (
        now && {
          store,
          now,
          place,
          meaning,
          markMeaning: meaning,
          frameAt,
          reachPx: TAKE_PX,
          splitsPosts: false,
        }
      );
    },
    targets: RULER_TARGETS,
    ground: timingGround,
    groundMenu: (_, place) => pictureMenu(store, frameAt(place)),
    hover: (place) => setHoveredFrame(place && frameAt(place)),
    zooms,
  });
  return (
    <View>
      <InteractiveView
        testID="unrolled-arc"
        label={describe(ruler)}
        liveView={RULER_LIVE_VIEW}
        surface={surface}
        zooms={zooms}
        keys={useViewKeys(zooms)}
        touchAction="pan-y"
        height={HEIGHT}
        onWidth={setWidth}
        className="cursor-ew-resize will-change-transform"
      >
        {() => <RulerDrawing axis={axis} width={width} ruler={ruler} />}
      </InteractiveView>
      {under(axis, width)}
      <View pointerEvents="box-none" className="absolute right-0 top-0">
        <FitButton zooms={zooms} of="ruler" />
      </View>
    </View>
  );
}

const RULER_TARGETS: readonly Target<TimingView>[] = [markTarget, tickTarget];

/** Down to here a drag looks at other frames, pixels: the ticks stand below. */
const NEEDLE_ZONE = 25;
/** A tick or a post is taken from so far away, pixels. */
const TAKE_PX = 14;
