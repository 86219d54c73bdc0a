import { STAND_INS, standInNames } from '@humble/core';
import ImagePlus from 'lucide-react-native/icons/image-plus';
import { View } from 'react-native';
import { useBringPictures } from '../../../commands/useBringPictures';
import { keepDrawing } from '../../../persistence/drawings';
import { useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { Toggle } from '../../../ui/Toggle';
import { Words } from '../../../ui/Words';
import { figuresWords } from '../../../words/figures';
import { partsWords as words } from '../../../words/parts';
import { BringProgress } from '../BringProgress';
import { PivotEditor } from '../PivotEditor';
import { useFigure } from '../useFigure';
import type { OfPart } from './ofPart';

export function PartLook({ moveId, rider, set }: OfPart & { readonly moveId: string }) {
  const edit = useEdit();
  const figure = useFigure()?.figure;
  const riderId = rider.id;
  const bringing = useBringPictures({
    keep: keepDrawing,
    onAllThere: (drawings) =>
      edit('setRiderArtwork', {
        moveId,
        riderId,
        artwork: { kind: 'pictures', drawings: [...drawings] },
      }) !== null,
  });
  return (
    <Card title={words.looksLike}>
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={words.importPicture}
          icon={ImagePlus}
          disabled={bringing.progress !== null}
          onPress={() => void bringing.bring()}
        />
        {figure && (
          <Button
            label={words.asTheFigure}
            onPress={() => {
              const { artwork, height, heightMm, pivot, frontDeg } = figure;
              set({ artwork, height, heightMm, pivot, frontDeg });
            }}
          />
        )}
      </View>
      <BringProgress {...bringing} />
      {rider.artwork.kind === 'stand-in' && (
        <View
          role="radiogroup"
          aria-label={words.looksOf(rider.name)}
          className="mt-2 flex-row flex-wrap gap-2"
        >
          {standInNames.map((standIn) => (
            <Button
              key={standIn}
              label={STAND_INS[standIn].label}
              kind={
                rider.artwork.kind === 'stand-in' && rider.artwork.standIn === standIn ? 'brass' : 'quiet'
              }
              onPress={() =>
                edit('setRiderArtwork', { moveId, riderId, artwork: { kind: 'stand-in', standIn } })
              }
            />
          ))}
        </View>
      )}
      <Words tone="soft" className="mt-2">
        {figuresWords.dragPivot}
      </Words>
      <PivotEditor figure={rider} onChange={set} />
      <Toggle label={words.bends} value={rider.bends} onChange={(bends) => set({ bends })} />
      {rider.bends && <Words tone="soft">{words.bendsSentence}</Words>}
      <Toggle label={words.mirrored} value={rider.mirrored} onChange={(mirrored) => set({ mirrored })} />
    </Card>
  );
}
