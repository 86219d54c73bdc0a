import type { Travel } from './evaluate';

export interface Scale {
  readonly across: number;
  readonly down: number;
}

export const PLAIN_SCALE: Scale = { across: 1, down: 1 };

export function scaleOn({ move, tracks }: Pick<Travel, 'move' | 'tracks'>, i: number): Scale {
  const across = tracks.size[i]! / 100;
  return { across, down: move.sizesApart ? tracks.sizeDown[i]! / 100 : across };
}
