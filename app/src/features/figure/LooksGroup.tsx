import { type Figure, isCamera, lookOf, pivotSpots, STAND_INS, standInNames } from '@humble/core';
import ImagePlus from 'lucide-react-native/icons/image-plus';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useMissingPictures } from '../../persistence/useMissingPictures';
import { useEdit } from '../../store/hooks';
import { MILLIMETRES, lengthsFor, useLengths } from '../../store/lengths';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { cameraMoveWords } from '../../words/cameraMove';
import { figureWords } from '../../words/figure';
import { figuresWords as words } from '../../words/figures';
import { TERMS } from '../../words/terms';
import { BringProgress } from './BringProgress';
import { CameraCard } from './camera/CameraCard';
import { LookPicture } from './LookPicture';
import { NoFigureYet } from './NoFigure';
import { PivotEditor } from './PivotEditor';
import { useBringDrawings } from './useBringDrawings';
import { useActiveFigure } from './useFigure';
import { useThrottledMove, useThrottledShotValue } from '../../store/throttled/hooks';

const PICTURE_PX = 48;

export function LooksGroup() {
  const figure = useActiveFigure();
  const move = useThrottledMove();
  const hasCamera = useThrottledShotValue(({ figures }) => figures.some(isCamera));
  if (!figure) return <NoFigureYet />;
  if (isCamera(figure)) return <CameraCard key={figure.id} figure={figure} move={move} />;
  return (
    <>
      {hasCamera && <FixedCard figure={figure} />}
      <ArtworkCard key={figure.artwork.kind} figure={figure} />
      <HeightCard figure={figure} />
      <PivotCard figure={figure} />
    </>
  );
}

interface OfFigure {
  readonly figure: Figure;
}

/** Where there is a camera: a hand in front of it, or the frame of a window, goes with it. */
function FixedCard({ figure: { id: figureId, isFixedToCamera } }: OfFigure) {
  const edit = useEdit();
  return (
    <Card>
      <Toggle
        label={cameraMoveWords.fixed}
        value={isFixedToCamera}
        onChange={(value) => edit('setFigure', { figureId, isFixedToCamera: value })}
      />
      <Words tone="soft">{cameraMoveWords.fixedSentence}</Words>
    </Card>
  );
}

function ArtworkCard({ figure }: OfFigure) {
  const bringing = useBringDrawings(figure.id);
  const { artwork } = figure;
  const hasPictures = artwork.kind === 'pictures';
  const isMissing = useMissingPictures(hasPictures ? artwork.drawings : undefined);
  const [showsStandIns, setShowsStandIns] = useState(!hasPictures);
  return (
    <Card title={words.artwork} term={TERMS.figure} aside={figure.name}>
      <Words tone="soft">{words.artworkSentence}</Words>
      {hasPictures && (
        <View className="mt-2 flex-row items-center gap-3">
          <LookPicture look={lookOf(figure)} size={64} />
          <Words className="min-w-0 shrink" numberOfLines={2}>
            {artwork.drawings.length === 1
              ? artwork.drawings[0]!.name
              : words.pictureCount(artwork.drawings.length)}
          </Words>
        </View>
      )}
      {isMissing && (
        <Words role="alert" tone="plum" className="mt-2">
          {words.picturesMissing}
        </Words>
      )}
      <View className="mt-2 flex-row flex-wrap gap-2">
        <Button
          label={hasPictures ? words.changePictures : words.importItsPicture}
          icon={ImagePlus}
          disabled={bringing.progress !== null}
          onPress={() => void bringing.bring()}
        />
        {!showsStandIns && <Button label={words.useStandIn} onPress={() => setShowsStandIns(true)} />}
      </View>
      <BringProgress {...bringing} />
      {showsStandIns && <StandIns figure={figure} />}
    </Card>
  );
}

function StandIns({ figure: { id: figureId, artwork } }: OfFigure) {
  const edit = useEdit();
  return (
    <View role="radiogroup" aria-label={words.standIns} className="mt-3 flex-row flex-wrap gap-2">
      {standInNames.map((standIn) => {
        const isChosen = artwork.kind === 'stand-in' && artwork.standIn === standIn;
        const { label } = STAND_INS[standIn];
        return (
          <Pressable
            key={standIn}
            role="radio"
            aria-checked={isChosen}
            aria-label={label}
            onPress={() => edit('setFigure', { figureId, standIn })}
            className={`w-[71px] items-center gap-1 rounded-large border px-1 py-2 ${isChosen ? 'border-brass bg-brasswash' : 'border-line bg-ground'}`}
          >
            <LookPicture look={{ ...STAND_INS[standIn], picture: null }} size={PICTURE_PX} />
            <Words size="tiny" tone={isChosen ? 'ink' : 'soft'} className="text-center">
              {label}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}

const REAL = lengthsFor(MILLIMETRES);
const MAX_MM = 1e6;

function HeightCard({ figure: { id: figureId, height, heightMm } }: OfFigure) {
  const edit = useEdit();
  const { field: length } = useLengths();
  const unitsPerMm = useThrottledShotValue(({ field }) => field.unitsPerMm);
  const isReal = heightMm !== null;
  const hasParts = useThrottledShotValue((shot) =>
    shot.moves.some((move) => move.figureId === figureId && move.riders.length > 0),
  );
  const [sizesParts, setSizesParts] = useState(true);
  const keepsParts = !sizesParts;
  return (
    <Card title={words.height}>
      {isReal ? (
        <NumberField
          {...REAL.field({
            label: words.realHeight,
            value: heightMm,
            min: 0.01,
            max: MAX_MM,
            onChange: (next, undoGroup) =>
              edit('setFigure', { figureId, heightMm: next, keepsParts }, undoGroup),
          })}
        />
      ) : (
        <NumberField
          {...length({
            label: figureWords.height,
            value: height,
            min: 1,
            max: 20_000,
            step: 10,
            onChange: (next, undoGroup) =>
              edit('setFigure', { figureId, height: next, keepsParts }, undoGroup),
          })}
        />
      )}
      <Toggle
        label={words.useRealHeight}
        value={isReal}
        onChange={(value) =>
          edit('setFigure', {
            figureId,
            ...(value
              ? { heightMm: Number((height / (unitsPerMm ?? 1)).toFixed(2)) }
              : { heightMm: null, height: heightMm !== null && unitsPerMm ? heightMm * unitsPerMm : height }),
          })
        }
      />
      {hasParts && <Toggle label={words.sizesParts} value={sizesParts} onChange={setSizesParts} />}
      {isReal && <Words tone="soft">{words.realHeightSentence}</Words>}
    </Card>
  );
}

const MAX_COORDINATE = 1e5;

function PivotCard({ figure }: OfFigure) {
  const edit = useEdit();
  const { id: figureId, frontDeg, pivot, artwork } = figure;
  const look = lookOf(figure);
  const isPicture = artwork.kind === 'pictures';
  const set = (some: Partial<{ x: number; y: number }>, undoGroup?: string): void => {
    const { x, y } = look.pivot;
    edit('setFigure', { figureId, pivot: { x, y, ...some } }, undoGroup);
  };
  const spots = pivotSpots(look);
  const spot = (name: 'middle' | 'foot' | 'top') => {
    const { x, y } = spots.find((one) => one.name === name)!;
    return (
      <Button
        key={name}
        label={`${words.pivotOn} ${words[name].toLowerCase()}`}
        shows={words[name]}
        onPress={() => set({ x, y })}
      />
    );
  };
  return (
    <Card title={isPicture ? words.pivotAndFront : TERMS.pivot.word} term={TERMS.pivot}>
      <Words tone="soft">{words.dragPivot}</Words>
      <PivotEditor
        figure={figure}
        onChange={(some, undoGroup) => edit('setFigure', { figureId, ...some }, undoGroup)}
      />
      <NumberPair
        pair={[
          {
            label: words.pivotAcross,
            unit: words.px,
            value: look.pivot.x,
            min: -MAX_COORDINATE,
            max: MAX_COORDINATE,
            decimals: 1,
            onChange: (x, undoGroup) => set({ x }, undoGroup),
          },
          {
            label: words.pivotDown,
            unit: words.px,
            value: look.pivot.y,
            min: -MAX_COORDINATE,
            max: MAX_COORDINATE,
            decimals: 1,
            onChange: (y, undoGroup) => set({ y }, undoGroup),
          },
        ]}
      />
      <View className="mt-2 flex-row flex-wrap gap-2">
        {(['middle', 'foot', 'top'] as const).map(spot)}
        <Button
          label={words.artworksOwn}
          kind="quiet"
          disabled={pivot === null}
          onPress={() => edit('setFigure', { figureId, pivot: null })}
        />
      </View>
      {isPicture && (
        <>
          <NumberField
            label={words.front}
            unit="°"
            value={frontDeg}
            min={-360}
            max={360}
            step={15}
            onChange={(next, undoGroup) => edit('setFigure', { figureId, frontDeg: next }, undoGroup)}
          />
          <Words tone="soft">{words.frontSentence}</Words>
        </>
      )}
    </Card>
  );
}
