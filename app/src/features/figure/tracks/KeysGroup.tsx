import { Words } from '../../../ui/Words';
import { figureWords as words } from '../../../words/figure';
import { SelectedKeys } from './SelectedKeys';
import { selectTracksWithKeys } from './selectTracksWithKeys';
import { useThrottledEditor, useThrottledSelector } from '../../../store/throttled/hooks';

export function KeysGroup() {
  const hasKeys = useThrottledSelector((state) => selectTracksWithKeys(state).length > 0);
  const isAny = useThrottledEditor(({ selectedKeys }) => (selectedKeys?.ids.length ?? 0) > 0);
  if (isAny) return <SelectedKeys />;
  return <Words tone="soft">{hasKeys ? words.selectKeyHelp : words.noKeysYet}</Words>;
}

export function KeysSummary() {
  const count = useThrottledEditor(({ selectedKeys }) => selectedKeys?.ids.length ?? 0);
  return count > 0 ? <Words tone="soft">{words.keysSelected(count)}</Words> : null;
}
