import { type Shot } from '@humble/core';
import { type FrameDifference, largestDifference, takeDifference, type TakesAlign } from '@humble/core/views';
import { View } from 'react-native';
import { shallowEqual } from 'react-redux';
import { type Comparison, selectComparison, selectDifferenceOn } from '../../../store/selectors/comparison';
import { goTo, useThrottledFrame } from '../../../playback/playhead';
import { useAppDispatch } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { type Compared, comparisonChosen, PLAIN_COMPARISON } from '../../../store/reviewSlice';
import { selectSelectedMarks } from '../../../store/selectors/timingSelection';
import { Card } from '../../../ui/Card';
import { LineGraph } from '../../../ui/charts';
import { Chips } from '../../../ui/Chips';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { sideOf } from '../../../store/selectors/sideOf';
import { takesWords as words } from '../../../words/takes';
import { selectActiveMove } from '../../../store/selectors/active';
import {
  useThrottledSelector,
  useThrottledShot,
  useThrottledShotValue,
} from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const NONE = '';
/** An earlier version that is compared is chosen in the history, and only named here. */
const VERSION = 'version';

const ALIGNS = [
  { value: 'start', label: words.start },
  { value: 'end', label: words.end },
  { value: 'mark', label: words.mark },
] as const;

const PLAYBACK = [
  { value: 'together', label: words.together },
  { value: 'turns', label: words.byTurns },
  { value: 'alone', label: words.alone },
] as const;

export function CompareCard() {
  const takes = useThrottledShotValue((shot) => shot.takes);
  const compared = useThrottledSelector(({ review }) => review.compared);
  const comparison = useThrottledSelector(selectComparison);
  const dispatch = useAppDispatch();
  const others = takes.filter(({ kept }) => kept !== null);
  const version = compared?.with.kind === 'version' ? compared.with.name : null;
  const choose = (takeId: string): void => {
    if (takeId === VERSION) return;
    const chosen = { ...(compared ?? PLAIN_COMPARISON), with: { kind: 'take', takeId } } as const;
    dispatch(comparisonChosen(takeId === NONE ? null : chosen));
  };
  return (
    <Card title={words.compare}>
      {others.length === 0 && version === null ? (
        <Words tone="soft">{words.addAnother}</Words>
      ) : (
        <View className="-mx-4 my-1">
          <Chips
            label={words.compare}
            value={version === null ? (comparison?.takeId ?? NONE) : VERSION}
            options={[
              { value: NONE, label: words.nothing },
              ...others.map(({ id, name }) => ({ value: id, label: name })),
              ...(version === null ? [] : [{ value: VERSION, label: words.versionOf(version) }]),
            ]}
            onChange={choose}
          />
        </View>
      )}
      {compared && comparison && <Compare compared={compared} comparison={comparison} />}
    </Card>
  );
}

interface CompareProps {
  readonly compared: Compared;
  readonly comparison: Comparison;
}

function Compare({ compared, comparison }: CompareProps) {
  const dispatch = useAppDispatch();
  const markId = useThrottledSelector((state) => selectSelectedMarks(state)[0]?.id ?? null);
  const { align, shows } = compared;
  const set = (some: Partial<Compared>): void => {
    dispatch(comparisonChosen({ ...compared, ...some }));
  };
  const lineUp = (at: TakesAlign['at']): void =>
    set({ align: at === 'mark' ? { at, markId: markId ?? '' } : { at } });
  return (
    <View className="mt-2 gap-2">
      <Words tone="soft">{words.laidOnEachOther}</Words>
      <Segmented label={words.laidOnEachOther} value={align.at} options={ALIGNS} onChange={lineUp} />
      {align.at === 'mark' && <AtMark comparison={comparison} markId={align.markId} />}
      <Words tone="soft">{words.playback}</Words>
      <Segmented
        label={words.playback}
        value={shows}
        options={PLAYBACK}
        onChange={(how) => set({ shows: how })}
      />
      {shows === 'turns' && <Words tone="soft">{words.byTurnsNote}</Words>}
      <Difference comparison={comparison} />
    </View>
  );
}

/** On which frame two takes are lined up; or that a mark of both has to be selected first. */
function AtMark({
  comparison: { other },
  markId,
}: {
  readonly comparison: Comparison;
  readonly markId: string;
}) {
  const frame = useThrottledSelector((state) => {
    const move = selectActiveMove(state);
    const same = other.moves.find(({ id }) => id === move?.id);
    const isThere = same?.marks.some(({ id }) => id === markId);
    return (isThere && move?.marks.find(({ id }) => id === markId)?.frame) || null;
  });
  return (
    <Words role="status" tone={frame === null ? 'plum' : 'soft'}>
      {frame === null ? words.selectAMark : words.atMark(frameNumber(frame))}
    </Words>
  );
}

/** Distances below this share of a field unit are none. */
const SAME = 1e-6;
const HEIGHT = 140;

function differencesOf(
  shot: Shot,
  { other, shift }: Comparison,
  moveId: string | null,
): readonly FrameDifference[] {
  return moveId === null ? [] : takeDifference(shot, other, moveId, shift);
}

/** How far apart both are on this frame. */
function HereApart() {
  const frame = useThrottledFrame();
  const apart = useThrottledSelector((state) => selectDifferenceOn(state, frame), shallowEqual);
  const name = useThrottledSelector((state) => selectComparison(state)?.name ?? '');
  const { text } = useLengths();
  return apart === null ? null : (
    <Words role="status" testID="apart-here">
      {words.apartHere(frameNumber(frame), text(apart.away), sideOf(apart), name)}
    </Words>
  );
}

function Difference({ comparison }: { readonly comparison: Comparison }) {
  const shot = useThrottledShot();
  const moveId = useThrottledSelector((state) => selectActiveMove(state)?.id ?? null);
  const frame = useThrottledFrame();
  const { text, unit } = useLengths();
  const fieldUnits = unit === 'mm' ? shot.field.unitsPerMm! : 1;
  const rows = differencesOf(shot, comparison, moveId);
  const largest = largestDifference(rows);
  if (!largest) return null;
  if (largest.away < SAME) return <Words tone="soft">{words.same}</Words>;
  return (
    <>
      <HereApart />
      <Words role="status">{words.largest(text(largest.away), frameNumber(largest.frame))}</Words>
      <LineGraph
        label={words.difference(comparison.name, rows.length)}
        labels={rows.map(({ frame }) => String(frameNumber(frame)))}
        values={rows.map(({ away }) => away / fieldUnits)}
        decimals={1}
        height={HEIGHT}
        fromZero
        at={rows.findIndex((row) => row.frame === frame)}
        onPick={(i) => goTo(rows[i]!.frame)}
        testID="take-difference"
      />
    </>
  );
}
