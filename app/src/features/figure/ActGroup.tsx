import { figureWords as words } from '../../words/figure';
import { Words } from '../../ui/Words';
import { ActCard } from './ActCard';
import { ThinningCard } from './ThinningCard';
import { useThrottledEditor, useThrottledMove } from '../../store/throttled/hooks';

export function ActGroup() {
  const move = useThrottledMove();
  const isActing = useThrottledEditor((editor) => editor.tool === 'act');
  return (
    <>
      {isActing && <ActCard move={move} />}
      {move && <ThinningCard move={move} />}
      {!isActing && <ActCard move={move} />}
    </>
  );
}

export function ActSummary() {
  const isActed = useThrottledMove()?.acted ?? null;
  return isActed && <Words tone="soft">{words.acted}</Words>;
}
