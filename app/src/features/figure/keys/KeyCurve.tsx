import Svg, { Path } from 'react-native-svg';
import { colour } from '../../../ui/colour';

/** Places on the curve of a line, from the first frame to the last. */
export const CURVE_SAMPLES = 33;
const WIDTH = 64;
const HEIGHT = 22;
const MARGIN = 3;

/** How a value goes over the shot, small. @param values from the first frame to the last, evenly */
export function KeyCurve({ values }: { readonly values: readonly number[] }) {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const range = most - least;
  const y = (value: number): number =>
    range < 1e-9 ? HEIGHT / 2 : MARGIN + ((most - value) / range) * (HEIGHT - 2 * MARGIN);
  const x = (i: number): number => (i / Math.max(1, values.length - 1)) * WIDTH;
  const d = values
    .map((value, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(value).toFixed(1)}`)
    .join('');
  return (
    <Svg width={WIDTH} height={HEIGHT}>
      <Path d={d} stroke={colour.indigo} strokeWidth={1.75} fill="none" />
    </Svg>
  );
}
