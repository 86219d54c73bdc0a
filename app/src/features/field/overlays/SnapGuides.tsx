import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { currentPointerScene } from '../pointerScene';
import { circlePath } from '../../../ui/circlePath';

/** How far a guide reaches beyond what it joins, pixels. */
const GUIDE_OVER_PX = 14;

export function SnapGuides() {
  const pixel = usePixel();
  const path = (): string =>
    currentPointerScene()
      .guides.map(({ kind, from, to }) => {
        if (kind === 'grid') {
          const arm = 8 * pixel;
          return `M${to.x - arm} ${to.y}h${2 * arm}M${to.x} ${to.y - arm}v${2 * arm}`;
        }
        if (kind === 'point' || kind === 'centre') return circlePath(to, 11 * pixel);
        const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
        const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
        const over = GUIDE_OVER_PX * pixel;
        return `M${from.x - ux * over} ${from.y - uy * over}L${to.x + ux * over} ${to.y + uy * over}`;
      })
      .join('');
  return (
    <LivePath path={path} testID="snap-guides" fill="none" stroke={colour.plum} strokeWidth={1.25 * pixel} />
  );
}
