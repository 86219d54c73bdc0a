import {
  type Figure,
  measuredAdvance,
  slips,
  solveStride,
  type Stride,
  type StrideMatch,
  strideOf,
  type Travel,
} from '@humble/core';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { selectLengthScale, useLengths } from '../../../store/lengths';
import { selectActiveTravel } from '../../../store/selectors/selection';
import { Button, IconButton } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { fixed } from '../../../ui/numbers';
import { Segmented } from '../../../ui/Segmented';
import { Toggle } from '../../../ui/Toggle';
import { NumericText, Words } from '../../../ui/Words';
import { cycleWords as words } from '../../../words/cycle';
import { figuresWords } from '../../../words/figures';
import { PlantedEditor, spotOn } from './PlantedEditor';
import { SlipChart } from './SlipChart';
import { useThrottledSelector } from '../../../store/throttled/hooks';

const MAX_COORDINATE = 1e5;
const CONTACTS = [1, 2, 3, 4].map((value) => ({ value, label: words.part(value) }));

export function StrideCard({ figure }: { readonly figure: Figure }) {
  const travel = useThrottledSelector(selectActiveTravel);
  return (
    <>
      <PlantedCard figure={figure} />
      {travel && <MatchCard travel={travel} />}
      {travel && <SlipCard travel={travel} />}
    </>
  );
}

function PlantedCard({ figure }: { readonly figure: Figure }) {
  const edit = useEdit();
  const [wanted, setWanted] = useState(1);
  const [lastContact, setLastContact] = useState(1);
  const { artwork, id: figureId } = figure;
  if (artwork.kind !== 'pictures') return null;
  const count = artwork.drawings.length;
  const drawing = Math.min(wanted, count);
  const { planted } = artwork.drawings[drawing - 1]!;
  const contact = planted?.contact ?? lastContact;
  const put = (some: Partial<{ x: number; y: number; contact: number }>, undoGroup?: string): void => {
    const spot = { ...spotOn(figure, drawing), ...some };
    edit(
      'setPlanted',
      { figureId, drawing, spot: { x: spot.x, y: spot.y }, contact: some.contact ?? contact },
      undoGroup,
    );
  };
  return (
    <Card title={words.stride} aside={words.drawing(drawing, count)}>
      <Words tone="soft">{words.strideSentence}</Words>
      <PlantedEditor figure={figure} drawing={drawing} contact={contact} />
      <View className="mt-1 flex-row items-center justify-between">
        <IconButton
          label={words.previous}
          icon={ChevronLeft}
          disabled={drawing === 1}
          onPress={() => setWanted(drawing - 1)}
        />
        <Words tone="soft">{planted ? words.drawing(drawing, count) : words.lifted}</Words>
        <IconButton
          label={words.next}
          icon={ChevronRight}
          disabled={drawing === count}
          onPress={() => setWanted(drawing + 1)}
        />
      </View>
      <Toggle
        label={words.planted}
        value={planted !== null}
        onChange={(isPlanted) =>
          isPlanted ? put({}) : void edit('setPlanted', { figureId, drawing, spot: null })
        }
      />
      {planted && (
        <>
          <NumberPair
            pair={[
              {
                label: words.spotAcross,
                unit: figuresWords.px,
                value: planted.x,
                min: -1,
                max: MAX_COORDINATE,
                decimals: 1,
                onChange: (x, undoGroup) => put({ x }, undoGroup),
              },
              {
                label: words.spotDown,
                unit: figuresWords.px,
                value: planted.y,
                min: -1,
                max: MAX_COORDINATE,
                decimals: 1,
                onChange: (y, undoGroup) => put({ y }, undoGroup),
              },
            ]}
          />
          <View className="mt-1 gap-1">
            <Words tone="soft">{words.whichPart}</Words>
            <Segmented
              label={words.whichPart}
              value={contact}
              options={CONTACTS}
              onChange={(next) => {
                setLastContact(next);
                put({ contact: next });
              }}
            />
          </View>
        </>
      )}
    </Card>
  );
}

interface OfTravel {
  readonly travel: Travel;
}

function MatchCard({ travel }: OfTravel) {
  const edit = useEdit();
  const { text, field: length } = useLengths();
  const stride = strideOf(travel);
  const { figure, figureHeight, move } = travel;
  const measured = measuredAdvance(figure, figureHeight, move.cycle?.swings ?? false);
  if (!stride) return null;
  return (
    <Card title={words.match}>
      {measured !== null ? (
        <Words>{words.measured(text(stride.advance), stride.cycleFrames)}</Words>
      ) : (
        <>
          <Words tone="soft">{words.notMeasured}</Words>
          <NumberField
            {...length({
              label: words.typedAdvance,
              value: stride.advance,
              min: 0.001,
              max: 1e6,
              onChange: (advance, undoGroup) =>
                edit('setCycle', { moveId: move.id, cycle: { advance } }, undoGroup),
            })}
          />
        </>
      )}
      <Words tone="soft">{words.asked(text(stride.advance / stride.cycleFrames))}</Words>
      <Words tone="soft">
        {words.now(text(stride.travel), stride.frames, text(stride.travel / stride.frames))}
      </Words>
      <Matches stride={stride} moveId={move.id} />
    </Card>
  );
}

function Matches({ stride, moveId }: { readonly stride: Stride; readonly moveId: string }) {
  const edit = useEdit();
  const { text } = useLengths();
  const matches: readonly (readonly [StrideMatch, label: string, sentence: string])[] = [
    ['by-way', words.matchWay, words.matchWaySentence],
    ['frames', words.matchFrames(Math.round(solveStride(stride, 'frames'))), words.matchFramesSentence],
    ['travel', words.matchTravel(text(solveStride(stride, 'travel'))), words.matchTravelSentence],
    ['advance', words.matchAdvance(text(solveStride(stride, 'advance'))), words.matchAdvanceSentence],
    [
      'cycleFrames',
      words.matchDrawings(Math.round(solveStride(stride, 'cycleFrames'))),
      words.matchDrawingsHelp,
    ],
  ];
  return (
    <View className="mt-2 gap-2">
      {matches.map(([match, label, sentence]) => (
        <View key={match} className="flex-row items-center gap-3">
          <View className="w-[150px]">
            <Button label={label} onPress={() => edit('matchStride', { moveId, match })} />
          </View>
          <Words tone="soft" size="tiny" className="min-w-0 shrink">
            {sentence}
          </Words>
        </View>
      ))}
    </View>
  );
}

function SlipCard({ travel }: OfTravel) {
  const { text } = useLengths();
  const fieldUnits = useThrottledSelector((state) => selectLengthScale(state).fieldUnits);
  const isMm = useThrottledSelector((state) => selectLengthScale(state).unit === 'mm');
  const { rows, mean, largest } = slips(travel);
  const stride = strideOf(travel);
  if (rows.every(({ slip }) => slip === null))
    return (
      <Card title={words.slip}>
        <Words tone="soft">{words.noSlip}</Words>
      </Card>
    );
  return (
    <Card title={words.slip}>
      <Words tone="soft">{words.slipSentence}</Words>
      <NumericText testID="slip-numbers">{words.slipNumbers(text(mean), text(largest))}</NumericText>
      {stride && (
        <NumericText tone="soft">
          {words.ofStride(fixed((Math.abs(mean) / stride.advance) * 100, 2))}
        </NumericText>
      )}
      <SlipChart rows={rows} fieldUnits={fieldUnits} decimals={isMm ? 2 : 1} />
    </Card>
  );
}
