import { useMemo, useRef, useState } from 'react';
import { useLatest } from '../ui/useLatest';
import { type Range, within, withInSight, zoomed } from '../ui/axis';

export interface Zoom {
  readonly range: Range;
  readonly isZoomed: boolean;
  /** @param factor more than 1 shows less, larger; about a value that stays where it is or comes into sight */
  readonly by: (factor: number, about: number) => void;
  readonly shift: (by: number) => void;
  readonly pinchBegins: () => void;
  /** A pinch: all of it counts from where it began. */
  readonly pinch: (factor: number, about: number, shift: number) => void;
  readonly fit: () => void;
}

/** Zooming within a whole range; not zoomed, it shows all of it, however that changes. */
export function useZoom(whole: Range): Zoom {
  const [part, setPart] = useState<Range | null>(null);
  const range = part ? within(part, whole) : whole;
  const live = useLatest({ range, whole });
  const began = useRef<Range>(whole);
  const actions = useMemo(() => {
    const show = (next: Range): void => {
      const { whole: all } = live();
      const isAll = next.to - next.from >= (all.to - all.from) * 0.999;
      setPart(isAll ? null : next);
    };
    return {
      by: (factor: number, about: number) => {
        const { range: now, whole: all } = live();
        show(zoomed(withInSight(now, about), about, factor, all));
      },
      shift: (by: number) => {
        const { range: now, whole: all } = live();
        show(within({ from: now.from + by, to: now.to + by }, all));
      },
      pinchBegins: () => {
        began.current = live().range;
      },
      pinch: (factor: number, about: number, shift: number) => {
        const { whole: all } = live();
        const next = zoomed(began.current, about, factor, all);
        show(within({ from: next.from + shift / factor, to: next.to + shift / factor }, all));
      },
      fit: () => setPart(null),
    };
  }, [live]);
  return { range, isZoomed: part !== null, ...actions };
}
