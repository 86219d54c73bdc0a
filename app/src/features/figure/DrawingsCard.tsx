import { type Figure, lookOf } from '@humble/core';
import { Pressable, View } from 'react-native';
import { useThrottledFrame } from '../../playback/playhead';
import { useEdit } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { Words } from '../../ui/Words';
import { figuresWords as words } from '../../words/figures';
import { CycleFields, FollowChoice } from './CycleFields';
import { LookPicture } from './LookPicture';
import { useThrottledMove } from '../../store/throttled/hooks';
import { useShownDrawing } from './useShownDrawing';
import { frameNumber } from '../../store/frameNumbers';

/** Of more drawings than this only those about the one that is shown can be tapped; any can be typed. */
const MAX_SHOWN = 12;
const MAX_FRAMES = 240;

export function DrawingsCard({ figure }: { readonly figure: Figure }) {
  const edit = useEdit();
  const move = useThrottledMove();
  const frame = useThrottledFrame();
  const { artwork, id: figureId } = figure;
  const shown = useShownDrawing();
  if (artwork.kind !== 'pictures' || artwork.drawings.length < 2) return null;
  const { drawings } = artwork;
  const count = drawings.length;
  const framesOfShown = drawings[Math.max(0, shown - 1)]!.frames;
  const first = Math.max(0, Math.min(shown - 1 - MAX_SHOWN / 2, count - MAX_SHOWN));
  const changesHere = move?.drawings.some((one) => one.frame === frame) ?? false;
  const choose = (drawing: number | null): void => {
    if (move) edit('setDrawing', { moveId: move.id, frame, drawing });
  };
  return (
    <Card title={words.drawings} aside={shown === 0 ? words.notShown : words.drawingHere(shown, count)}>
      <Words tone="soft">{words.drawingsSentence}</Words>
      <NumberPair
        pair={[
          {
            label: words.framesEach,
            value: drawings[0]!.frames,
            min: 1,
            max: MAX_FRAMES,
            onChange: (frames, undoGroup) => edit('setDrawingFrames', { figureId, frames }, undoGroup),
          },
          {
            label: words.framesOf(Math.max(1, shown)),
            value: framesOfShown,
            min: 1,
            max: MAX_FRAMES,
            onChange: (frames, undoGroup) =>
              edit('setDrawingFrames', { figureId, frames, drawing: Math.max(1, shown) }, undoGroup),
          },
        ]}
      />
      {move && <FollowChoice move={move} drawings={drawings} />}
      {move?.cycle && <CycleFields move={move} cycle={move.cycle} drawings={drawings} />}
      {move && (
        <>
          <NumberField
            label={words.drawingFromHere(frameNumber(frame))}
            value={Math.max(1, shown)}
            min={1}
            max={count}
            onChange={(drawing) => choose(drawing)}
          />
          <View
            role="radiogroup"
            aria-label={words.drawingFromHere(frameNumber(frame))}
            className="mt-1 flex-row flex-wrap gap-1"
          >
            {drawings.slice(first, first + MAX_SHOWN).map((_, i) => {
              const drawing = first + i + 1;
              const isShown = drawing === shown;
              return (
                <Pressable
                  key={drawing}
                  role="radio"
                  aria-checked={isShown}
                  aria-label={words.drawingNumber(drawing)}
                  onPress={() => choose(drawing)}
                  className={`items-center rounded-small border p-1 ${isShown ? 'border-brass bg-brasswash' : 'border-line'}`}
                >
                  <LookPicture look={lookOf(figure, drawing)} size={44} />
                </Pressable>
              );
            })}
          </View>
          <View className="mt-2 flex-row flex-wrap gap-2">
            <Button label={words.endHere} disabled={!changesHere} onPress={() => choose(null)} />
          </View>
        </>
      )}
    </Card>
  );
}
