import { shallowEqual } from 'react-redux';
import { View } from 'react-native';
import { attachFigure, detachFigure } from '../../commands/figures';
import { useAppDispatch } from '../../store/hooks';
import Unlink from 'lucide-react-native/icons/unlink';
import { ARC_TONES } from '../../ui/arcColour';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { figuresWords as words } from '../../words/figures';
import { selectActiveMove, selectActiveWaiting } from '../../store/selectors/active';
import { useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

export function AttachCard() {
  const dispatch = useAppDispatch();
  const waiting = useThrottledSelector(selectActiveWaiting);
  const riding = useThrottledSelector((state) => {
    const move = selectActiveMove(state);
    return move && { figureId: move.figureId, arcId: move.arcId };
  }, shallowEqual);
  const arcs = useThrottledShotValue((shot) => shot.arcs);
  const figureId = waiting?.figureId ?? riding?.figureId;
  if (figureId === undefined) return null;
  const others = arcs.filter(({ id, locked }) => id !== riding?.arcId && !locked);
  if (riding && others.length === 0)
    return (
      <Card>
        <Detach onPress={() => dispatch(detachFigure(figureId))} />
      </Card>
    );
  return (
    <Card title={waiting ? words.thisFigureWaits : words.anotherArc}>
      <Words tone="soft">
        {others.length === 0 ? words.noArcForIt : waiting ? words.waitsForAnArc : words.keepsItsTiming}
      </Words>
      {waiting?.move && <Words tone="soft">{words.hadTiming}</Words>}
      {others.map(({ id, name, colour }) => (
        <View key={id} className="mt-2 gap-1">
          <View className="flex-row items-center gap-2">
            <View style={{ backgroundColor: ARC_TONES[colour] }} className="h-[4px] w-[20px] rounded-full" />
            <Words numberOfLines={1} className="shrink">
              {words.onto(name)}
            </Words>
          </View>
          <View className="flex-row flex-wrap gap-2">
            <Button
              label={words.atStartOf(name)}
              shows={words.atItsStart}
              onPress={() => dispatch(attachFigure(figureId, id, 'start'))}
            />
            <Button
              label={words.whereItIsOn(name)}
              shows={words.whereItIs}
              onPress={() => dispatch(attachFigure(figureId, id, 'where-it-is'))}
            />
          </View>
        </View>
      ))}
      {riding && (
        <View className="mt-3">
          <Detach onPress={() => dispatch(detachFigure(figureId))} />
        </View>
      )}
    </Card>
  );
}

const Detach = ({ onPress }: { readonly onPress: () => void }) => (
  <View className="flex-row">
    <Button label={words.detach} icon={Unlink} onPress={onPress} />
  </View>
);
