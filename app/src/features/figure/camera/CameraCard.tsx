import { type CameraOn, cameraOn, type Figure, lastFrame, type Move, type Vector } from '@humble/core';
import { sceneOn } from '@humble/core/scene';
import { cameraFramePath } from '@humble/core/views';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Circle, G, Path } from 'react-native-svg';
import { goTo, useThrottledFrame } from '../../../playback/playhead';
import { frameField } from '../../../store/frames';
import { useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { useThrottledShot } from '../../../store/throttled/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { colour } from '../../../ui/colour';
import { fixed } from '../../../ui/numbers';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { Words } from '../../../ui/Words';
import { cameraMoveWords as words } from '../../../words/cameraMove';
import { CameraPicture } from './CameraPicture';

interface CameraCardProps {
  readonly figure: Figure;
  /** Null while it waits for an arc. */
  readonly move: Move | null;
}

/** What the camera sees, and the way in to a spot. */
export function CameraCard({ figure, move }: CameraCardProps) {
  const shot = useThrottledShot();
  const { text } = useLengths();
  const frame = Math.min(useThrottledFrame(), shot.lengthFrames);
  const camera = cameraOn(shot, frame);
  const seen = useMemo(() => sceneOn(shot, frame), [shot, frame]);
  const percent = camera ? fixed((100 * camera.width) / shot.field.width, 1) : '';
  return (
    <>
      <Card title={figure.name} aside={camera ? words.wide(text(camera.width), percent) : undefined}>
        <Words tone="soft">{words.sentence}</Words>
        <CameraPicture shot={shot} items={seen} label={words.sees} testID="camera-sees" />
      </Card>
      {move && camera && <TruckCard move={move} camera={camera} />}
    </>
  );
}

/** The frame at the end is half as wide at first. */
const FRESH_SHARE = 0.5;

function TruckCard({ move, camera }: { readonly move: Move; readonly camera: CameraOn }) {
  const edit = useEdit();
  const shot = useThrottledShot();
  const frame = Math.min(useThrottledFrame(), shot.lengthFrames);
  const { field: length } = useLengths();
  const [spot, setSpot] = useState<Vector | null>(null);
  const [typed, setTyped] = useState<{
    readonly from?: number;
    readonly until?: number;
    readonly width?: number;
  }>({});
  const last = Math.min(lastFrame(move), shot.lengthFrames);
  // Begun where the camera's move is over, the way in is a new one, to the end of the shot.
  const until = typed.until ?? (frame < last ? last : shot.lengthFrames);
  const from = typed.from ?? (frame < until ? frame : 1);
  const width = typed.width ?? camera.width * FRESH_SHARE;
  const whole = useMemo(() => sceneOn(shot, frame, true, { isWhole: true }), [shot, frame]);
  return (
    <Card title={words.truck}>
      <Words tone="soft">{words.truckSentence}</Words>
      <CameraPicture
        shot={shot}
        items={whole}
        label={words.whole}
        testID="camera-whole"
        onTap={setSpot}
        over={(pixel) => (
          <G>
            <Path
              d={cameraFramePath(camera, shot.field, pixel)}
              fill="none"
              stroke={colour.card}
              strokeWidth={4}
            />
            <Path
              d={cameraFramePath(camera, shot.field, pixel)}
              fill="none"
              stroke={colour.indigo}
              strokeWidth={2}
            />
            {spot && (
              <>
                <Path
                  d={cameraFramePath({ ...spot, width, turnDeg: camera.turnDeg }, shot.field, pixel)}
                  fill="none"
                  stroke={colour.brass}
                  strokeWidth={2}
                  strokeDasharray="5 4"
                />
                <Circle cx={spot.x / pixel} cy={spot.y / pixel} r={5} fill={colour.brass} />
              </>
            )}
          </G>
        )}
      />
      <NumberPair
        pair={[
          frameField({
            label: words.from,
            value: from,
            min: 1,
            max: shot.lengthFrames,
            onChange: (next) => setTyped({ ...typed, from: next }),
          }),
          frameField({
            label: words.until,
            value: until,
            min: 1,
            max: shot.lengthFrames,
            onChange: (next) => setTyped({ ...typed, until: next }),
          }),
        ]}
      />
      <NumberField
        {...length({
          label: words.width,
          value: width,
          min: 1,
          max: 1e6,
          onChange: (next) => setTyped({ ...typed, width: next }),
        })}
      />
      <View className="mt-2 flex-row">
        <Button
          label={words.go}
          kind="brass"
          disabled={spot === null}
          onPress={() => {
            if (!spot || !edit('truckIn', { moveId: move.id, from, until, spot, width })) return;
            setSpot(null);
            goTo(until);
          }}
        />
      </View>
    </Card>
  );
}
