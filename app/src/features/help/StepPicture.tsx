import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import type { WorkStep } from '../../kinds/steps';
import { colour } from '../../ui/colour';

const ARC = 'M12 78C60 20 120 20 160 52S250 96 308 34';

/** Ticks along a straight line, closer at both ends. */
const TICKS = [12, 16, 26, 44, 70, 102, 136, 170, 202, 230, 252, 270, 284, 296, 304, 308];

const pictures: Readonly<Record<WorkStep, () => React.JSX.Element>> = {
  arc: () => (
    <>
      <Path d="M96 30L52 24M96 30L140 36" stroke={colour.brass} strokeWidth={1.5} />
      <Path d={ARC} stroke={colour.indigo} strokeWidth={2.5} fill="none" />
      {[
        [12, 78],
        [96, 30],
        [220, 74],
        [308, 34],
      ].map(([x, y]) => (
        <Rect
          key={x}
          x={x! - 4}
          y={y! - 4}
          width={8}
          height={8}
          fill={colour.field}
          stroke={colour.indigo}
          strokeWidth={2}
        />
      ))}
      <Circle cx={52} cy={24} r={4} fill={colour.brass} />
      <Circle cx={140} cy={36} r={4} fill={colour.brass} />
    </>
  ),
  figure: () => (
    <>
      <Path d={ARC} stroke={colour.indigo} strokeWidth={2} fill="none" />
      {[
        [40, 50, 0.35],
        [96, 30, 0.6],
        [160, 52, 1],
      ].map(([x, y, strength]) => (
        <G key={x} opacity={strength}>
          <Circle
            cx={x}
            cy={y! - 22}
            r={8}
            fill={strength === 1 ? colour.ink : 'none'}
            stroke={colour.ink}
            strokeWidth={2}
          />
          <Path
            d={`M${x! - 10} ${y}Q${x! - 10} ${y! - 14} ${x} ${y! - 14}T${x! + 10} ${y}Z`}
            fill={strength === 1 ? colour.ink : 'none'}
            stroke={colour.ink}
            strokeWidth={2}
          />
        </G>
      ))}
    </>
  ),
  timing: () => (
    <>
      <Line x1={12} x2={308} y1={76} y2={76} stroke={colour.ink} strokeWidth={2} />
      {TICKS.map((x) => (
        <Line key={x} x1={x} x2={x} y1={76} y2={54} stroke={colour.indigo} strokeWidth={1.5} />
      ))}
      {TICKS.map((_, i) => (
        <Line
          key={i}
          x1={12 + (i * 296) / (TICKS.length - 1)}
          x2={12 + (i * 296) / (TICKS.length - 1)}
          y1={24}
          y2={34}
          stroke={colour.soft}
          strokeWidth={1}
        />
      ))}
      <Path d="M12 40V82m-6 0h12M308 40V82m-6 0h12" stroke={colour.ink} strokeWidth={3} />
    </>
  ),
  shoot: () => (
    <>
      <Path d={ARC} stroke={colour.indigo} strokeWidth={2} fill="none" />
      <Path
        d="M12 78C40 48 66 33 92 30"
        stroke={colour.persimmon}
        strokeWidth={2}
        strokeDasharray="5 4"
        fill="none"
      />
      <Path d="M84 30h36M102 12v36" stroke={colour.persimmon} strokeWidth={2} />
      <Circle cx={102} cy={30} r={9} stroke={colour.persimmon} strokeWidth={2} fill="none" />
      <Rect x={216} y={58} width={92} height={30} rx={6} fill={colour.brass} />
      <Circle cx={262} cy={73} r={8} fill="none" stroke={colour.onbrass} strokeWidth={2.5} />
    </>
  ),
  sheet: () => (
    <>
      {[0, 1, 2, 3].map((row) => (
        <G key={row}>
          <Rect
            x={12}
            y={14 + row * 18}
            width={120}
            height={14}
            rx={3}
            fill={row === 1 ? colour.brasswash : colour.ground}
          />
          <Line x1={20} x2={40} y1={21 + row * 18} y2={21 + row * 18} stroke={colour.soft} strokeWidth={3} />
          <Line
            x1={84}
            x2={100 + row * 8}
            y1={21 + row * 18}
            y2={21 + row * 18}
            stroke={colour.ink}
            strokeWidth={3}
          />
        </G>
      ))}
      <Rect
        x={164}
        y={34}
        width={144}
        height={34}
        rx={4}
        fill={colour.brasswash}
        stroke={colour.brass}
        strokeWidth={1.5}
      />
      {Array.from({ length: 17 }, (_, i) => (
        <Line
          key={i}
          x1={172 + i * 8}
          x2={172 + i * 8}
          y1={34}
          y2={i % 4 === 0 ? 52 : 43}
          stroke={colour.brass}
          strokeWidth={1.5}
        />
      ))}
    </>
  ),
};

export function StepPicture({ step }: { readonly step: WorkStep }) {
  const Picture = pictures[step];
  return (
    <Svg width="100%" height={100} viewBox="0 0 320 96" aria-hidden>
      <Picture />
    </Svg>
  );
}
