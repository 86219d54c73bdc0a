import { drawingOn, type Figure, frameNumber, lookOf } from '@humble/core';
import { Pressable, View } from 'react-native';
import { useThrottledFrame } from '../../playback/playhead';
import { useEdit, useThrottledMove } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../ui/Words';
import { figuresWords as words } from '../../words/figures';
import { LookPicture } from './LookPicture';

/** Of more drawings than this only those about the one that is shown can be tapped; any can be typed. */
const MOST_SHOWN = 12;

/** Which drawing is shown when: as a sequence, or from frames on. */
export function DrawingsCard({ figure }: { readonly figure: Figure }) {
  const edit = useEdit();
  const move = useThrottledMove();
  const frame = useThrottledFrame();
  const { artwork, id: figureId } = figure;
  if (artwork.kind !== 'pictures' || artwork.drawings.length < 2) return null;
  const count = artwork.drawings.length;
  const shown = drawingOn(move ?? { drawings: [] }, figure, frame);
  const first = Math.max(0, Math.min(shown - 1 - MOST_SHOWN / 2, count - MOST_SHOWN));
  const changesHere = move?.drawings.some((one) => one.frame === frame) ?? false;
  const choose = (drawing: number | null): void => {
    if (move) edit('setDrawing', { moveId: move.id, frame, drawing });
  };
  return (
    <Card title={words.drawings} aside={words.drawingHere(shown, count)}>
      <Words tone="soft">{words.drawingsSentence}</Words>
      <NumberField
        label={words.framesEach}
        value={artwork.framesEach}
        min={0}
        max={240}
        onChange={(framesEach, undoGroup) =>
          edit('setArtwork', { figureId, artwork: { ...artwork, framesEach } }, undoGroup)
        }
      />
      {move && (
        <>
          <NumberField
            label={words.drawingFromHere(frameNumber(frame))}
            value={shown}
            min={1}
            max={count}
            onChange={(drawing) => choose(drawing)}
          />
          <View
            role="radiogroup"
            aria-label={words.drawingFromHere(frameNumber(frame))}
            className="mt-1 flex-row flex-wrap gap-1"
          >
            {artwork.drawings.slice(first, first + MOST_SHOWN).map((_, i) => {
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
