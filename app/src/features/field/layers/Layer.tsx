import type { ReactNode } from 'react';
import { View } from 'react-native';
import { G } from 'react-native-svg';
import { Drawing } from '../../../ui/Drawing';
import type { Projection } from '../viewport';

export const transformOf = ({ offset, scale, turnDeg = 0 }: Projection): string =>
  `translate(${offset.x} ${offset.y}) scale(${scale})${turnDeg === 0 ? '' : ` rotate(${-turnDeg})`}`;

export interface LayerProps {
  readonly size: { readonly width: number; readonly height: number };
  readonly projection: Projection;
  readonly children: ReactNode;
}

/** A sheet of its own, so that what moves on it does not bring what lies beneath to be painted again. */
export function Layer({ size, projection, children }: LayerProps) {
  return (
    <View pointerEvents="none" className="absolute inset-0 will-change-transform">
      <Drawing {...size}>
        <G transform={transformOf(projection)}>{children}</G>
      </Drawing>
    </View>
  );
}
