import { incrementTable, seenRow } from '@humble/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useFrame } from '../../state/playhead';
import { useActiveMove, useShot } from '../../state/hooks';
import { fixed } from '../../ui/numbers';
import { Figures } from '../../ui/Words';
import { currentScene, useScene } from './scene';

/** Frame, place, increment and percentage at the playhead. */
export function ReadOut() {
  const shot = useShot();
  const move = useActiveMove();
  const frame = useFrame();
  if (!move) return null;
  const table = incrementTable(shot, move);
  const row = seenRow(table, frame);
  const unit = table.units === 'mm' ? ' mm' : '';
  const step = row.frame === frame && row.along !== null ? fixed(row.along, 1) : '–';
  return (
    <View testID="read-out" className="rounded-small border border-line bg-card px-3 py-1">
      <Figures tone="soft" numberOfLines={1}>
        frame <Figures strong>{frame}</Figures> · <Figures strong>{fixed(row.place, 1)}</Figures>
        {unit} · step <Figures strong>{step}</Figures> · {fixed(row.percent, 0)}%
      </Figures>
    </View>
  );
}

/** Where the mouse is, in field units. */
export function PointerPlace() {
  const hasPointer = useScene(({ pointer }) => pointer !== null);
  return hasPointer ? <Coordinates /> : null;
}

/** How often the numbers follow, milliseconds: faster could not be read. */
const READABLE_MS = 80;

const coordinates = (): string => {
  const { pointer } = currentScene();
  return pointer ? `${fixed(pointer.x, 0)} across, ${fixed(pointer.y, 0)} down` : '';
};

function Coordinates() {
  const [text, setText] = useState(coordinates);
  useEffect(() => {
    const follow = setInterval(() => setText(coordinates()), READABLE_MS);
    return () => clearInterval(follow);
  }, []);
  return (
    <View testID="pointer-place" className="rounded-small border border-line bg-card px-3 py-1">
      <Figures tone="soft" numberOfLines={1}>
        {text}
      </Figures>
    </View>
  );
}
