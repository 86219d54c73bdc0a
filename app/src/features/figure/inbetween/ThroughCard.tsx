import {
  type Chart,
  type Figure,
  firstFrame,
  lastFrame,
  MAX_SHOT_FRAMES,
  type Move,
  type Shot,
  type Toward,
} from '@humble/core';
import { type DrawnThrough, drawnThroughSpans, hasNoGround, isLineAlone } from '@humble/core/views';
import { type ComponentType, useState } from 'react';
import { View } from 'react-native';
import { goTo, useThrottledFrame } from '../../../playback/playhead';
import { frameNumber } from '../../../store/frameNumbers';
import { frameField } from '../../../store/frames';
import { useEdit } from '../../../store/hooks';
import { useThrottledShot } from '../../../store/throttled/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { inbetweenWords as words } from '../../../words/inbetween';
import { PinsCard } from './PinsCard';
import { ThroughLadder } from './ThroughLadder';

/** The sheets that in-betweens are drawn on, seen and saved. */
export type SheetsDialog = ComponentType<{ readonly onClose: () => void }>;

interface ThroughCardProps {
  readonly figure: Figure;
  readonly move: Move;
  readonly Sheets: SheetsDialog;
}

/** What is drawn through about a frame: the span it lies in, both keys included. */
const spanOn = (move: Move, frame: number): DrawnThrough | undefined =>
  drawnThroughSpans(move).find(({ from, to }) => frame >= from.frame && frame < to.frame) ??
  drawnThroughSpans(move).find(({ to }) => frame === to.frame);

export function ThroughCard({ figure, move, Sheets }: ThroughCardProps) {
  const shot = useThrottledShot();
  const frame = useThrottledFrame();
  const through = spanOn(move, frame);
  if (figure.artwork.kind !== 'pictures') return null;
  if (!through) return <BeginCard figure={figure} move={move} count={figure.artwork.drawings.length} />;
  const { from, to } = through;
  return (
    <>
      <Card
        title={words.drawThrough}
        aside={words.aside(from.drawing, to.drawing, frameNumber(from.frame), frameNumber(to.frame))}
      >
        <DrawingNotes figure={figure} drawings={[from.drawing, to.drawing]} />
        <ChartFields key={from.frame} shot={shot} move={move} through={through} Sheets={Sheets} />
      </Card>
      <PinsCard
        key={`${from.drawing} ${to.drawing}`}
        figure={figure}
        first={from.drawing}
        second={to.drawing}
      />
    </>
  );
}

function DrawingNotes({
  figure,
  drawings,
}: {
  readonly figure: Figure;
  readonly drawings: readonly number[];
}) {
  const { artwork } = figure;
  if (artwork.kind !== 'pictures') return null;
  const said = drawings.flatMap((number) => {
    const drawing = artwork.drawings[number - 1];
    if (!drawing) return [];
    return hasNoGround(drawing)
      ? [words.noGround(number)]
      : isLineAlone(drawing)
        ? [words.lineAlone(number)]
        : [];
  });
  return said.map((sentence) => (
    <Words key={sentence} role="alert" tone="plum">
      {sentence}
    </Words>
  ));
}

/** Two drawings and two frames: one tap draws the one through to the other. */
function BeginCard({ figure, move, count }: Omit<ThroughCardProps, 'Sheets'> & { readonly count: number }) {
  const edit = useEdit();
  const frame = useThrottledFrame();
  const { lengthFrames } = useThrottledShot();
  const [first, setFirst] = useState(1);
  const [second, setSecond] = useState(2);
  // The frames of the move until others are typed; from the playhead where that is inside of it.
  const ends = { from: firstFrame(move), until: Math.min(lastFrame(move), lengthFrames) };
  const [typed, setTyped] = useState<{ readonly from?: number; readonly until?: number }>({});
  const from = typed.from ?? (frame > ends.from && frame < ends.until - 1 ? frame : ends.from);
  // What is drawn through already stays: it ends where another drawing begins.
  const nextDrawing = move.drawings.find((shown) => shown.frame > from + 1);
  const until = typed.until ?? nextDrawing?.frame ?? ends.until;
  return (
    <Card title={words.drawThrough}>
      <Words tone="soft">{words.sentence}</Words>
      <DrawingNotes figure={figure} drawings={[first, second]} />
      {count > 2 && (
        <NumberPair
          pair={[
            { label: words.firstDrawing, value: first, min: 1, max: count, onChange: setFirst },
            { label: words.secondDrawing, value: second, min: 1, max: count, onChange: setSecond },
          ]}
        />
      )}
      <NumberPair
        pair={[
          frameField({
            label: words.fromFrame,
            value: from,
            min: 1,
            max: MAX_SHOT_FRAMES,
            onChange: (next) => setTyped({ ...typed, from: next }),
          }),
          frameField({
            label: words.untilFrame,
            value: until,
            min: 1,
            max: MAX_SHOT_FRAMES,
            onChange: (next) => setTyped({ ...typed, until: next }),
          }),
        ]}
      />
      <View className="mt-2 flex-row">
        <Button
          label={words.drawThrough}
          kind="brass"
          onPress={() => {
            if (!edit('drawThrough', { moveId: move.id, from, until, first, second, chart: null })) return;
            setTyped({});
            // In the middle the first in-between to be looked at.
            goTo(Math.round((from + until) / 2));
          }}
        />
      </View>
    </Card>
  );
}

interface ChartFieldsProps extends Pick<ThroughCardProps, 'Sheets'> {
  readonly shot: Shot;
  readonly move: Move;
  readonly through: DrawnThrough;
}

type ChartName = keyof typeof words.charts;

const CHARTS = (Object.keys(words.charts) as ChartName[]).map((value) => ({
  value,
  label: words.charts[value],
}));
const TOWARD = [
  { value: 'start', label: words.start },
  { value: 'end', label: words.end },
  { value: 'both', label: words.both },
] as const;
/** By halves the steps soon get finer than a hand can draw, so that is for the last few drawings. */
const FEW = 3;
const LAST = [1, 2, 3, 4, 5].map((value) => ({ value, label: String(value) }));
const NUMBERINGS = [
  { value: 'frame', label: words.numberings.frame },
  { value: 'order', label: words.numberings.order },
] as const;

function ChartFields({ shot, move, through, Sheets }: ChartFieldsProps) {
  const edit = useEdit();
  const { frame } = through.from;
  const isOwn = through.from.drawnThrough?.easing != null;
  const [chosen, setChosen] = useState<ChartName>('even');
  const [toward, setToward] = useState<Toward>('end');
  const [last, setLast] = useState(FEW);
  const [isPrinting, setPrinting] = useState(false);
  const shown = isOwn ? chosen : 'travel';
  const make = (name: ChartName, end = toward, few = last): void => {
    setChosen(name);
    setToward(end);
    setLast(few);
    const chart: Chart | null =
      name === 'travel' ? null : name === 'even' ? { kind: 'even' } : { kind: name, toward: end, last: few };
    edit('setChartThrough', { moveId: move.id, frame, chart });
  };
  const closes = shown === 'halves' || shown === 'thirds';
  return (
    <>
      <Words tone="soft">{words.chart}</Words>
      <Segmented label={words.chart} value={shown} options={CHARTS} onChange={(name) => make(name)} />
      <View className="mt-2 flex-row gap-3">
        <ThroughLadder shot={shot} move={move} through={through} />
        <View className="min-w-0 flex-1 gap-2">
          {closes && (
            <>
              <Words tone="soft">{words.toward}</Words>
              <Segmented
                label={words.toward}
                value={toward}
                options={TOWARD}
                onChange={(end) => make(shown, end)}
              />
              <Words tone="soft">{words.last}</Words>
              <Segmented
                label={words.last}
                value={last}
                options={LAST}
                onChange={(few) => make(shown, toward, few)}
              />
            </>
          )}
          <Words tone="soft">{words.numbering}</Words>
          <Segmented
            label={words.numbering}
            value={shot.sheet.numbering}
            options={NUMBERINGS}
            onChange={(numbering) => edit('setSheet', { numbering })}
          />
        </View>
      </View>
      <View className="mt-2 flex-row flex-wrap gap-2">
        <Button label={words.sheets} kind="brass" onPress={() => setPrinting(true)} />
        <Button
          label={words.holdInstead}
          onPress={() => edit('setDrawnThrough', { moveId: move.id, frame, drawnThrough: null })}
        />
      </View>
      {isPrinting && <Sheets onClose={() => setPrinting(false)} />}
    </>
  );
}
