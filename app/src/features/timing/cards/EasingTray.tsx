import { timingWords as words } from '../../../words/timing';
import { type Easing, easedDistance, type EasingKind } from '@humble/core';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { colour } from '../../../ui/colour';
import { Tray } from '../../../ui/Tray';
import { Words } from '../../../ui/Words';
import { describeEasing, EASING_KINDS } from '../../../kinds/easings';
import { KeptEasings } from './KeptEasings';

interface EasingTrayProps {
  readonly easing: Easing;
  readonly frames: number;
  readonly offered: (kind: EasingKind) => Easing;
  readonly onChoose: (easing: Easing) => void;
  readonly onClose: () => void;
}

export function EasingTray({ easing, frames, offered: offeredOf, onChoose, onClose }: EasingTrayProps) {
  return (
    <Tray title={words.easingOfThisSpan} closes={words.closeTheEasings} onClose={onClose}>
      <View role="radiogroup" aria-label={words.easingOfThisSpan} className="flex-row flex-wrap gap-2">
        {EASING_KINDS.map((kind) => {
          const isChosen = kind === easing.kind;
          const { name } = describeEasing(kind);
          const offered = offeredOf(kind);
          return (
            <Pressable
              key={kind}
              role="radio"
              aria-checked={isChosen}
              aria-label={name}
              onPress={() => {
                if (!isChosen) onChoose(offered);
              }}
              className={`w-[31%] items-center rounded-large border px-1 py-2 ${isChosen ? 'border-brass bg-brasswash' : 'border-line bg-ground'}`}
            >
              <EasingPicture easing={offered} frames={frames} />
              <Words className="text-center">{name}</Words>
            </Pressable>
          );
        })}
      </View>
      <KeptEasings easing={easing} onChoose={onChoose} />
    </Tray>
  );
}

const WIDTH = 88;
const HEIGHT = 60;
/** Room above and below for what goes past its ends. */
const ROOM = 14;
const SAMPLES = 60;

/** The way over time of an easing: time to the right, way upwards. */
function EasingPicture({ easing, frames }: { readonly easing: Easing; readonly frames: number }) {
  const d = Array.from({ length: SAMPLES + 1 }, (_, i) => {
    const eased = easedDistance(easing, (frames * i) / SAMPLES, frames, 1);
    const x = 6 + ((WIDTH - 12) * i) / SAMPLES;
    const y = HEIGHT - ROOM - (HEIGHT - 2 * ROOM) * eased;
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
  }).join('');
  return (
    <Svg width={WIDTH} height={HEIGHT}>
      <Path
        d={`M6 ${ROOM}H${WIDTH - 6}M6 ${HEIGHT - ROOM}H${WIDTH - 6}`}
        stroke={colour.line}
        strokeWidth={1}
      />
      <Path d={d} fill="none" stroke={colour.indigo} strokeWidth={2} strokeLinejoin="round" />
    </Svg>
  );
}
