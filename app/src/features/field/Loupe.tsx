import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Image } from 'react-native-svg';
import { pictureAddress } from '../../persistence/pictures';
import { useThrottledFrame } from '../../playback/playhead';
import { selectEdits } from '../../store/selectors/selection';
import { selectToldPicture } from '../../store/selectors/shooting';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';
import { colour } from '../../ui/colour';
import { LaidAsActive } from './cameraSeen';
import { transformOf } from './layers/Layer';
import { RulerLine } from './overlays/RulerLine';
import { SnapGuides } from './overlays/SnapGuides';
import { BackdropPicture } from './layers/BackdropPicture';
import { ArcLines } from './layers/ArcLines';
import { Grid, PaperLayer } from './layers/Paper';
import { PointDots } from './layers/Points';
import { PixelContext } from '../../render/pixel';
import { LiveGroup } from '../../playback/liveShapes';
import { currentPointerScene, usePointerScene } from './pointerScene';
import type { Projection } from './viewport';

const RADIUS = 56;
const ZOOM = 1.6;
/** Room between the finger and the loupe, pixels. */
const ABOVE = 76;
const EDGE = 4;

interface LoupeProps {
  readonly projection: Projection;
  readonly size: { readonly width: number; readonly height: number };
}

/** Where the middle of the loupe is: above the finger, beside it where there is no room above. */
function loupeCorner(width: number): { x: number; y: number } | null {
  const { finger } = currentPointerScene();
  if (!finger) return null;
  const isHigh = finger.y < ABOVE + RADIUS;
  const beside = finger.x > width / 2 ? finger.x - ABOVE - RADIUS : finger.x + ABOVE + RADIUS;
  const x = Math.min(width - RADIUS - EDGE, Math.max(RADIUS + EDGE, isHigh ? beside : finger.x));
  return { x, y: isHigh ? RADIUS + EDGE : finger.y - ABOVE };
}

const shift = ({ x, y }: { readonly x: number; readonly y: number }): string => `translate(${x} ${y})`;

/** While something is shot: the picture on which it is told where a figure really stands. */
function ToldPicture() {
  const frame = useThrottledFrame();
  const { width, height } = useThrottledShotValue((shot) => shot.field);
  const sha256 = useThrottledSelector((state) =>
    selectEdits(state) === 'pictures' ? selectToldPicture(state, frame)?.picture.sha256 : undefined,
  );
  if (!sha256) return null;
  return (
    <Image
      href={pictureAddress(sha256)}
      width={width}
      height={height}
      preserveAspectRatio="xMidYMid slice"
      testID="loupe-picture"
    />
  );
}

function Beneath() {
  return (
    <G>
      <PaperLayer />
      <BackdropPicture />
      <ToldPicture />
      <Grid />
      <LaidAsActive>
        <ArcLines />
        <PointDots />
        <SnapGuides />
        <RulerLine />
      </LaidAsActive>
    </G>
  );
}

export function Loupe({ projection, size }: LoupeProps) {
  const isShown = usePointerScene((scene) => scene.finger !== null);
  if (!isShown) return null;
  const transform = (): string => shift(loupeCorner(size.width) ?? { x: -1000, y: -1000 });
  const beneath = (): string => {
    const { finger } = currentPointerScene();
    return finger ? shift({ x: -finger.x, y: -finger.y }) : '';
  };
  return (
    <PixelContext value={1 / projection.scale}>
      <View testID="loupe" pointerEvents="none" className="absolute inset-0">
        <Svg width={size.width} height={size.height}>
          <Defs>
            <ClipPath id="loupe-glass">
              <Circle r={RADIUS} />
            </ClipPath>
          </Defs>
          <LiveGroup transform={transform}>
            <Circle r={RADIUS} fill={colour.field} />
            <G clipPath="url(#loupe-glass)">
              <G transform={`scale(${ZOOM})`}>
                <LiveGroup transform={beneath}>
                  <G transform={transformOf(projection)}>
                    <Beneath />
                  </G>
                </LiveGroup>
              </G>
            </G>
            <Circle r={RADIUS} fill="none" stroke={colour.brass} strokeWidth={2} />
            <Circle r={3} fill="none" stroke={colour.persimmon} strokeWidth={1.25} />
          </LiveGroup>
        </Svg>
      </View>
    </PixelContext>
  );
}
