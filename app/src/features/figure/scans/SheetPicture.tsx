import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Circle, Path } from 'react-native-svg';
import type { ScanLevels, ScannedSheet, SheetDesk, Spot } from '../../../workers/scan';
import { Button } from '../../../ui/Button';
import { Canvas } from '../../../ui/Canvas';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { useLatest } from '../../../ui/useLatest';
import { Words } from '../../../ui/Words';
import { scansWords as words } from '../../../words/scans';
import { MARKS } from './useSheets';

/** What a tap on the sheet means. */
export type SheetTask = 'look' | 'marks' | 'corners';

type Corners = readonly [Spot, Spot, Spot, Spot];

interface SheetPictureProps {
  readonly desk: SheetDesk;
  readonly index: number;
  readonly sheet: ScannedSheet;
  readonly levels: ScanLevels;
  readonly task: SheetTask;
  readonly onMarks: (marks: readonly Spot[]) => void;
  readonly onCorners: (corners: Corners) => Promise<void>;
}

/** The picture is no higher than this, pixels. */
const MAX_HEIGHT = 260;
const PIXELS = 2;
/** Fresh corners lie so far inside the picture, as a share of it. */
const INSIDE = 0.06;

/** A sheet as it will be. Marks are tapped on it, and its corners dragged. */
export function SheetPicture({ desk, index, sheet, levels, task, onMarks, onCorners }: SheetPictureProps) {
  const [room, setRoom] = useState(0);
  const scale = Math.min(room / sheet.width, MAX_HEIGHT / sheet.height);
  const [width, height] = [sheet.width * scale, sheet.height * scale];
  const [corners, setCorners] = useState<Corners>(() => freshCorners(sheet));
  const [isBusy, setBusy] = useState(false);
  const live = useLatest({ sheet, scale, task, corners, onMarks });
  const drag = useMemo(() => {
    const held = { corner: 0 };
    const inSheet = ({ x, y }: Spot): Spot => ({
      x: Math.min(live().sheet.width, Math.max(0, x / live().scale)),
      y: Math.min(live().sheet.height, Math.max(0, y / live().scale)),
    });
    const put = (at: Spot): void =>
      setCorners((all) => all.map((one, i) => (i === held.corner ? inSheet(at) : one)) as unknown as Corners);
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin((at) => {
        const now = live();
        if (now.task === 'marks') {
          const { marks } = now.sheet;
          now.onMarks(marks.length >= MARKS ? [inSheet(at)] : [...marks, inSheet(at)]);
        } else if (now.task === 'corners') {
          const away = now.corners.map(({ x, y }) => Math.hypot(x * now.scale - at.x, y * now.scale - at.y));
          held.corner = away.indexOf(Math.min(...away));
          put(at);
        }
      })
      .onUpdate((at) => {
        if (live().task === 'corners') put(at);
      });
  }, [live]);
  return (
    <View onLayout={({ nativeEvent }) => setRoom(nativeEvent.layout.width)} className="items-center gap-2">
      {room > 0 && (
        <GestureDetector gesture={drag} touchAction={task === 'look' ? 'auto' : 'none'}>
          <View
            testID="sheet-picture"
            style={{ width, height }}
            className={`border border-line bg-[#ffffff] ${task === 'look' ? '' : 'cursor-crosshair'}`}
          >
            <Shown
              desk={desk}
              index={index}
              levels={levels}
              isClear={task === 'look'}
              width={width}
              height={height}
            />
            <View className="pointer-events-none absolute inset-0">
              <Drawing width={width} height={height}>
                {task !== 'corners' &&
                  sheet.marks.map(({ x, y }) => (
                    <Circle
                      key={`${x} ${y}`}
                      cx={x * scale}
                      cy={y * scale}
                      r={9}
                      fill="none"
                      stroke={colour.brass}
                      strokeWidth={2}
                    />
                  ))}
                {task === 'corners' && <CornerDrawing corners={corners} scale={scale} />}
              </Drawing>
            </View>
          </View>
        </GestureDetector>
      )}
      {task === 'corners' && (
        <>
          <Words tone="soft">{words.dragCorners}</Words>
          <Button
            label={words.applyCorners}
            kind="brass"
            disabled={isBusy}
            onPress={() => {
              setBusy(true);
              void onCorners(corners).finally(() => setBusy(false));
            }}
          />
        </>
      )}
    </View>
  );
}

function freshCorners({ width, height }: ScannedSheet): Corners {
  const [left, right] = [INSIDE * width, (1 - INSIDE) * width];
  const [top, bottom] = [INSIDE * height, (1 - INSIDE) * height];
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
}

function CornerDrawing({ corners, scale }: { readonly corners: Corners; readonly scale: number }) {
  const at = corners.map(({ x, y }) => ({ x: x * scale, y: y * scale }));
  return (
    <>
      <Path
        d={`M${at.map(({ x, y }) => `${x} ${y}`).join('L')}Z`}
        fill="none"
        stroke={colour.brass}
        strokeWidth={2}
      />
      {at.map(({ x, y }, i) => (
        <Circle key={i} cx={x} cy={y} r={10} fill={colour.brass} stroke="#FFFFFF" strokeWidth={2} />
      ))}
    </>
  );
}

interface ShownProps extends Pick<SheetPictureProps, 'desk' | 'index' | 'levels'> {
  readonly isClear: boolean;
  /** In the window, pixels. */
  readonly width: number;
  readonly height: number;
}

/** The latest that was asked for is drawn; while one is made, those before it are passed over. */
function Shown({ desk, index, levels, isClear, width, height }: ShownProps) {
  const canvas = useRef<HTMLCanvasElement | null>(null);
  const side = Math.round(Math.max(width, height) * PIXELS);
  useEffect(() => {
    let isWanted = true;
    void desk.show(index, { levels, isClear, side }).then((bitmap) => {
      const context = isWanted ? canvas.current?.getContext('2d') : null;
      if (context) {
        context.clearRect(0, 0, context.canvas.width, context.canvas.height);
        context.drawImage(bitmap, 0, 0, context.canvas.width, context.canvas.height);
      }
      bitmap.close();
    });
    return () => {
      isWanted = false;
    };
  }, [desk, index, levels, isClear, side]);
  return (
    <Canvas
      width={Math.round(width * PIXELS)}
      height={Math.round(height * PIXELS)}
      label={isClear ? words.picture(index + 1) : words.untouched(index + 1)}
      onReady={(element) => {
        canvas.current = element;
      }}
    />
  );
}
