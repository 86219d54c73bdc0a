import { applyEdit, evaluate, type Shot, travelOfMove } from '@humble/core';
import { deviationOf, placementsLeft, type ReplanWay, setReading } from '@humble/core/shoot';
import { lruMemoize } from '@reduxjs/toolkit';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { proposeReplan, useReplan as replan } from '../../commands/shooting';
import { useThrottledFrame } from '../../playback/playhead';
import { useAppDispatch } from '../../store/hooks';
import type { ReviewState } from '../../store/reviewSlice';
import { selectActiveMove, selectOpenShot } from '../../store/selectors/active';
import { selectToldPicture } from '../../store/selectors/shooting';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { Button } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { NumericText, Words } from '../../ui/Words';
import { shootWords as words } from '../../words/shoot';

/** A deviation smaller than this is none, in units of the set's reading. */
const NONE = 0.05;

export const deviationText = (
  { along, across }: { readonly along: number; readonly across: number },
  unit: string,
): string => {
  const said = (value: number): string => `${Math.abs(value).toFixed(1)} ${unit}`;
  const parts = [
    Math.abs(along) >= NONE && (along > 0 ? words.ahead(said(along)) : words.behind(said(along))),
    Math.abs(across) >= NONE && (across > 0 ? words.toTheRight(said(across)) : words.toTheLeft(said(across))),
  ].filter((part) => part !== false);
  return parts.length === 0 ? words.exact : parts.join(' · ');
};

/** How far the active figure stands from its plan on the picture that is told of; null where nobody told. */
export function useToldDeviation() {
  const frame = useThrottledFrame();
  const shot = useThrottledShot();
  const moveId = useThrottledSelector((state) => selectActiveMove(state)?.id ?? null);
  const told = useThrottledSelector((state) => selectToldPicture(state, frame));
  return useMemo(() => (moveId && told ? deviationOf(shot, moveId, told) : null), [shot, moveId, told]);
}

const PICTURES = 3;

const WAYS: readonly { readonly label: string; readonly way: ReplanWay }[] = [
  { label: words.atOnce, way: { by: 'at-once' } },
  { label: words.within(PICTURES), way: { by: 'within', pictures: PICTURES } },
  { label: words.spread, way: { by: 'spread' } },
  { label: words.shift, way: { by: 'shift' } },
];

const isSameWay = (a: ReplanWay, b: ReplanWay | undefined): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

/** The ways to go on from where a figure really stands; there as soon as it is told that it is off. */
export function Replanning() {
  const dispatch = useAppDispatch();
  const deviation = useToldDeviation();
  const units = setReading(useThrottledShot()).units;
  const proposal = useThrottledSelector((state) => state.review.proposedReplan);
  if (!deviation) return null;
  return (
    <View className="gap-2" testID="replanning">
      <View className="flex-row items-baseline justify-between">
        <Words strong className="shrink-0">
          {words.goOn}
        </Words>
        <NumericText tone="persimmon" size="tiny" testID="deviation" className="shrink text-right">
          {deviationText(deviation, units === 'mm' ? 'mm' : 'units')}
        </NumericText>
      </View>
      <View className="flex-row gap-1">
        {WAYS.map(({ label, way }) => (
          <Button
            key={label}
            label={label}
            pressed={isSameWay(way, proposal?.way)}
            onPress={() => dispatch(proposeReplan(way))}
            className="grow px-1"
          />
        ))}
      </View>
      {proposal && (
        <>
          <View className="flex-row gap-2">
            <Button label={words.useIt} kind="brass" className="flex-1" onPress={() => dispatch(replan())} />
            <Button label={words.letItBe} onPress={() => dispatch(proposeReplan(proposal.way))} />
          </View>
          <ProposedRuler proposal={proposal} />
        </>
      )}
    </View>
  );
}

interface Steps {
  /** Where it would stand on the pictures that are left, and where the plan has it; shares of the arc. */
  readonly proposed: readonly number[];
  readonly planned: readonly number[];
  readonly increments: readonly number[];
}

const SHOWN_STEPS = 4;

const stepsOf = lruMemoize((shot: Shot, proposal: NonNullable<ReviewState['proposedReplan']>): Steps => {
  const sharesOf = (of: Shot): readonly number[] => {
    const { arcDistance, arcLength } = travelOfMove(evaluate(of), proposal.moveId)!;
    return placementsLeft(of).map(({ frame }) => arcDistance[frame - 1]! / arcLength);
  };
  const next = applyEdit(shot, { name: 'replan', args: proposal });
  const { arc, arcLength, arcDistance } = travelOfMove(evaluate(next), proposal.moveId)!;
  const { alongOf } = setReading(next);
  const last = shot.shoot.pictures.find(({ id }) => id === proposal.takenId)!;
  const proposed = sharesOf(next);
  const along = [arcDistance[last.frame - 1]!, ...proposed.map((share) => share * arcLength)].map((s) =>
    alongOf(arc, s),
  );
  const increments = along.slice(1, SHOWN_STEPS + 1).map((s, i) => s - along[i]!);
  return { proposed, planned: sharesOf(shot), increments };
});

const HEIGHT = 40;
const SIDE = 6;

/** The arc laid out straight: the plan's ticks above the line, those that are proposed beneath it. */
function ProposedRuler({ proposal }: { readonly proposal: NonNullable<ReviewState['proposedReplan']> }) {
  const steps = useThrottledSelector((state) => stepsOf(selectOpenShot(state), proposal));
  const [width, setWidth] = useState(0);
  const all = [...steps.proposed, ...steps.planned];
  const [from, to] = [Math.min(...all), Math.max(...all)];
  const x = (share: number): number => SIDE + ((share - from) / (to - from || 1)) * (width - 2 * SIDE);
  const ticks = (shares: readonly number[], top: number, height: number): string =>
    shares.map((share) => `M${x(share).toFixed(1)} ${top}v${height}`).join('');
  return (
    <View
      role="img"
      aria-label={words.rulerLabel}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      testID="proposed-ruler"
    >
      <Svg width={width} height={HEIGHT}>
        <Path
          d={`M${SIDE} ${HEIGHT / 2}H${Math.max(SIDE, width - SIDE)}`}
          stroke={colour.ink}
          strokeWidth={1.5}
        />
        <Path d={ticks(steps.planned, 4, HEIGHT / 2 - 6)} stroke={colour.indigo} strokeWidth={1.5} />
        <Path
          d={ticks(steps.proposed, HEIGHT / 2 + 2, HEIGHT / 2 - 6)}
          stroke={colour.persimmon}
          strokeWidth={2}
        />
      </Svg>
      <NumericText tone="soft" size="tiny" numberOfLines={1} testID="proposed-steps">
        {words.proposed(steps.increments.map((step) => step.toFixed(1)).join(', '))}
      </NumericText>
    </View>
  );
}
