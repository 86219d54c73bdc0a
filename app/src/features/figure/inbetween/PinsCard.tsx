import { type Figure, MAX_PIN_FOLLOWS } from '@humble/core';
import { pinsBetween } from '@humble/core/views';
import { useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField } from '../../../ui/NumberField';
import { Toggle } from '../../../ui/Toggle';
import { Words } from '../../../ui/Words';
import { inbetweenWords as words } from '../../../words/inbetween';
import { PinEditor } from './PinEditor';
import { PinPath } from './PinPath';

interface PinsCardProps {
  readonly figure: Figure;
  readonly first: number;
  readonly second: number;
}

/** A fresh bow is off the straight way by this share of the drawing's height. */
const FRESH_BOW = 0.1;

export function PinsCard({ figure, first, second }: PinsCardProps) {
  const edit = useEdit();
  const [selectedId, setSelected] = useState<string | null>(null);
  const pins = pinsBetween(figure, first, second);
  const number = pins.findIndex(({ id }) => id === selectedId) + 1;
  const pin = pins[number - 1];
  const of = { figureId: figure.id, first, second };
  const height = figure.artwork.kind === 'pictures' ? figure.artwork.drawings[first - 1]!.height : 0;
  return (
    <Card title={words.pins} aside={words.pinCount(pins.length)}>
      <PinEditor
        figure={figure}
        first={first}
        second={second}
        selectedId={pin ? selectedId : null}
        onSelect={setSelected}
      />
      {pin && (
        <View className="mt-2 border-t border-line pt-2">
          <Words strong>{words.pin(number)}</Words>
          <NumberField
            label={words.follows}
            unit="frames"
            value={pin.followsFrames}
            min={-MAX_PIN_FOLLOWS}
            max={MAX_PIN_FOLLOWS}
            onChange={(followsFrames, undoGroup) =>
              edit('setPin', { ...of, pinId: pin.id, set: { followsFrames } }, undoGroup)
            }
          />
          <Words tone="soft">{words.followsSentence}</Words>
          <Toggle
            label={words.goesByArc}
            value={pin.bow !== null}
            onChange={(isBent) =>
              edit('setPin', {
                ...of,
                pinId: pin.id,
                set: { bow: isBent ? { x: 0, y: -Math.round(FRESH_BOW * height) } : null },
              })
            }
          />
          {pin.bow && <PinPath figure={figure} first={first} second={second} pinId={pin.id} />}
          <View className="mt-2 flex-row">
            <Button
              label={words.removePin}
              onPress={() => {
                edit('removePin', { ...of, pinId: pin.id });
                setSelected(null);
              }}
            />
          </View>
        </View>
      )}
    </Card>
  );
}
