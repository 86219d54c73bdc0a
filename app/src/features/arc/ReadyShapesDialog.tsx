import { arcWords as words } from '../../words/arc';
import { drawArc } from '../../commands/drawArc';
import { type FreshShapeName, freshShape, pathData, FRESH_SHAPES, shapePoints } from '@humble/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { colour } from '../../ui/colour';
import { Dialog } from '../../ui/Dialog';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { SHAPE_NAMES } from '../../kinds/shapes';
import { selectActiveArc } from '../../store/selectors/active';
import { useThrottledArc, useThrottledShotValue } from '../../store/throttled/hooks';

const PLACES = [
  { value: 'further', label: words.asANewArc },
  { value: 'instead', label: words.replaceThisArc },
] as const;

export function ReadyShapesDialog({ onClose }: { readonly onClose: () => void }) {
  const field = useThrottledShotValue((shot) => shot.field);
  const canReplace = useThrottledArc((arc) => !arc.locked) ?? false;
  const [where, setWhere] = useState<'further' | 'instead'>('further');
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const choose = (kind: FreshShapeName): void => {
    const shape = freshShape(kind, field);
    const arc = selectActiveArc(store.getState());
    if (where === 'instead' && arc) edit('shapeArc', { arcId: arc.id, shape });
    else dispatch(drawArc({ shape, name: freshName(SHAPE_NAMES[kind], store.getState()) }));
    onClose();
  };
  return (
    <Dialog title={words.shapes} isOpen onClose={onClose}>
      {canReplace && (
        <Segmented label={words.whereItGoes} value={where} options={PLACES} onChange={setWhere} />
      )}
      <View className="flex-row flex-wrap gap-2">
        {FRESH_SHAPES.map((kind) => (
          <ShapeButton key={kind} kind={kind} onPress={() => choose(kind)} />
        ))}
      </View>
    </Dialog>
  );
}

function freshName(name: string, { shot }: ReturnType<ReturnType<typeof useAppStore>['getState']>): string {
  const taken = new Set(shot.present.shot?.arcs.map((arc) => arc.name));
  let number = 1;
  while (taken.has(number === 1 ? name : `${name} ${number}`)) number++;
  return number === 1 ? name : `${name} ${number}`;
}

const PICTURE = { width: 96, height: 64 };

function ShapeButton({ kind, onPress }: { readonly kind: FreshShapeName; readonly onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={SHAPE_NAMES[kind]}
      onPress={onPress}
      className="w-[31%] items-center rounded-large border border-line bg-ground px-1 py-2"
    >
      <Svg width={PICTURE.width} height={PICTURE.height}>
        <Path
          d={pathData(shapePoints(freshShape(kind, PICTURE)))}
          fill="none"
          stroke={colour.indigo}
          strokeWidth={2}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </Svg>
      <Words size="small" className="text-center">
        {SHAPE_NAMES[kind]}
      </Words>
    </Pressable>
  );
}
