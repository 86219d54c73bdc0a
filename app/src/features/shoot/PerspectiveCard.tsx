import type { Perspective } from '@humble/core';
import { residualOf } from '@humble/core/shoot';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { PAPERS } from '../../commands/setPerspective';
import { toolChosen } from '../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { useThrottledEditor, useThrottledShotValue } from '../../store/throttled/hooks';
import { Button, IconButton } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { shootWords as words } from '../../words/shoot';

const CORNERS = 4;
const MIN_SHEET_MM = 5;
const MAX_SHEET_MM = 100_000;

type PaperName = keyof typeof PAPERS | 'other';

const SHEETS: readonly { readonly value: PaperName; readonly label: string }[] = [
  { value: 'a4', label: words.a4 },
  { value: 'letter', label: words.letter },
  { value: 'other', label: words.other },
];

const isLying = ({ widthMm, heightMm }: Perspective): boolean => widthMm >= heightMm;

function paperOf({ widthMm, heightMm }: Perspective): PaperName {
  const sides = [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)];
  const found = Object.entries(PAPERS).find(([, [short, long]]) => sides[0] === short && sides[1] === long);
  return (found?.[0] as PaperName | undefined) ?? 'other';
}

/** A sheet that lies on the set: four corners that were tapped, and its size. */
export function PerspectiveCard() {
  const perspective = useThrottledShotValue((shot) => shot.shoot.perspective);
  const isTapping = useThrottledEditor(({ tool }) => tool === 'corners');
  const tapped = useThrottledEditor(({ tappedCorners }) => tappedCorners.length);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const change = (some: Partial<Perspective>, undoGroup?: string): void => {
    if (perspective) edit('setPerspective', { perspective: { ...perspective, ...some } }, undoGroup);
  };
  const choosePaper = (paper: PaperName): void => {
    if (!perspective || paper === 'other') return;
    const [short, long] = PAPERS[paper];
    change(isLying(perspective) ? { widthMm: long, heightMm: short } : { widthMm: short, heightMm: long });
  };
  return (
    <Card title={words.perspective}>
      <View className="gap-2">
        <Words tone="soft">{words.perspectiveHelp}</Words>
        <View className="flex-row gap-2">
          <Button
            label={isTapping ? words.tapCorner(Math.min(CORNERS, tapped + 1)) : words.tapCorners}
            kind={perspective ? 'plain' : 'brass'}
            pressed={isTapping}
            className="flex-1"
            onPress={() => dispatch(toolChosen(isTapping ? 'shape' : 'corners'))}
          />
          {perspective && (
            <IconButton
              label={words.removePerspective}
              icon={Trash}
              onPress={() => edit('setPerspective', { perspective: null })}
            />
          )}
        </View>
        {perspective && (
          <>
            <Segmented
              label={words.paper}
              value={paperOf(perspective)}
              options={SHEETS}
              onChange={choosePaper}
            />
            <View className="flex-row gap-2">
              {(['widthMm', 'heightMm'] as const).map((side) => (
                <View key={side} className="flex-1">
                  <NumberField
                    isStacked
                    label={side === 'widthMm' ? words.paperWidth : words.paperHeight}
                    unit="mm"
                    decimals={1}
                    min={MIN_SHEET_MM}
                    max={MAX_SHEET_MM}
                    value={perspective[side]}
                    onChange={(mm, undoGroup) => change({ [side]: mm }, undoGroup)}
                  />
                </View>
              ))}
            </View>
            <Words tone="soft">{words.residual(residualOf(perspective).toFixed(3))}</Words>
          </>
        )}
      </View>
    </Card>
  );
}
