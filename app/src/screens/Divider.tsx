import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector, type PanGesture } from 'react-native-gesture-handler';
import { keyNudge } from '../ui/keyNudge';
import { useLatest } from '../ui/useLatest';

interface DividerOptions {
  /** Size before it was ever dragged, and its limits, pixels. */
  readonly fresh: number;
  readonly least: number;
  readonly most: number;
  readonly axis: 'x' | 'y';
  /** Whether the part that has the size lies before or behind the divider. */
  readonly grows: 'forth' | 'back';
}

interface DividerState {
  readonly size: number;
  readonly axis: 'x' | 'y';
  readonly drag: PanGesture;
  readonly nudge: (by: number) => void;
}

const keyOf = (name: string): string => `humble-divider-${name}`;

function storedSize(name: string, fresh: number): number {
  const stored = typeof localStorage === 'undefined' ? NaN : Number(localStorage.getItem(keyOf(name)) ?? NaN);
  return Number.isFinite(stored) && stored > 0 ? stored : fresh;
}

export function useDivider(name: string, { fresh, least, most, axis, grows }: DividerOptions): DividerState {
  const clamp = (wanted: number): number => Math.round(Math.min(most, Math.max(least, wanted)));
  const [size, setSize] = useState(() => clamp(storedSize(name, fresh)));
  const resize = (wanted: number): void => {
    const next = clamp(wanted);
    setSize(next);
    localStorage.setItem(keyOf(name), String(next));
  };
  const live = useLatest({ size, resize });
  const drag = useMemo(() => {
    const held = { from: 0 };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin(() => {
        held.from = live().size;
      })
      .onUpdate(({ translationX, translationY }) => {
        const moved = axis === 'x' ? translationX : translationY;
        live().resize(held.from + (grows === 'forth' ? moved : -moved));
      });
  }, [live, axis, grows]);
  return { size, axis, drag, nudge: (by) => resize(size + by * 8) };
}

export function Divider({ axis, size, drag, nudge, label }: DividerState & { readonly label: string }) {
  const isUpright = axis === 'x';
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        role="separator"
        tabIndex={0}
        aria-label={label}
        aria-orientation={isUpright ? 'vertical' : 'horizontal'}
        aria-valuenow={size}
        collapsable={false}
        className={`items-center justify-center ${isUpright ? 'w-[8px] cursor-col-resize border-l border-line bg-ground' : 'h-[8px] cursor-row-resize bg-card'}`}
        {...keyNudge(nudge)}
      >
        <View className={`rounded-full bg-line ${isUpright ? 'h-[32px] w-[3px]' : 'h-[3px] w-[32px]'}`} />
      </View>
    </GestureDetector>
  );
}
