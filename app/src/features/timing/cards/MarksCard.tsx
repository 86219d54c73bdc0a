import { timingWords as words } from '../../../words/timing';
import { frameField } from '../../../store/frames';
import { arcLength, lastFrameFor, MAX_SHOT_FRAMES, type Mark, type Move } from '@humble/core';
import ClipboardPaste from 'lucide-react-native/icons/clipboard-paste';
import Deselect from 'lucide-react-native/icons/circle-slash-2';
import Copy from 'lucide-react-native/icons/copy';
import Flag from 'lucide-react-native/icons/flag';
import Trash from 'lucide-react-native/icons/trash';

import { memo } from 'react';
import { View } from 'react-native';
import { marksSelected, selectingSeveralSet } from '../../../store/editorSlice';
import { useAppDispatch, useEdit, useSettings } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { useThrottledFrame } from '../../../playback/playhead';
import { settingsChanged } from '../../../store/settingsSlice';
import { addMark, copySelectedMarks, deleteSelectedMarks, pasteMarks } from '../../../commands/timing';
import type { AppThunk } from '../../../store/store';
import { useMarksAtHand } from './useMarksAtHand';
import { ActionRow } from '../../../ui/ActionRow';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Toggle } from '../../../ui/Toggle';
import { fixed } from '../../../ui/numbers';
import { Words } from '../../../ui/Words';
import { useGestureBaseline } from '../../../ui/useGestureBaseline';
import { HoldHere } from './HoldHere';
import { LabelField } from './LabelField';
import { TieField } from './TieField';
import { useThrottledArc, useThrottledMove, useThrottledEditor } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const KINDS = [
  { value: 'stop', label: words.stop },
  { value: 'pass', label: words.pass },
] as const;

/** The marks that are selected, else the one at the playhead, else the way to one. */
export const MarksCard = memo(function MarksCard() {
  const move = useThrottledMove();
  const marks = useMarksAtHand();
  if (!move) return null;
  if (marks.length > 1) return <SeveralMarks move={move} marks={marks} />;
  return marks[0] ? <OneMark key={marks[0].id} move={move} mark={marks[0]} /> : <NoMark />;
});

function NoMark() {
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const copied = useThrottledEditor((editor) => editor.copied);
  return (
    <View className="gap-2">
      <Button
        label={words.addAMarkOn(frameNumber(frame))}
        icon={Flag}
        kind="brass"
        onPress={() => dispatch(addMark())}
      />
      {copied && (
        <Button label={words.pasteMarks} icon={ClipboardPaste} onPress={() => dispatch(pasteMarks())} />
      )}
    </View>
  );
}

/** What goes for every change in time: whether later marks come along; and selecting several with a finger. */
export const MarkSettings = memo(function MarkSettings() {
  const dispatch = useAppDispatch();
  const { takesLater } = useSettings();
  const isSeveral = useThrottledEditor(({ isSelectingSeveral }) => isSelectingSeveral);
  return (
    <Card>
      <Toggle
        label={words.shiftLaterMarks}
        value={takesLater}
        onChange={(value) => dispatch(settingsChanged({ takesLater: value }))}
      />
      <Toggle
        label={words.selectARange}
        value={isSeveral}
        onChange={(value) => dispatch(selectingSeveralSet(value))}
      />
    </Card>
  );
});

function OneMark({ move, mark }: { readonly move: Move; readonly mark: Mark }) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { takesLater } = useSettings();
  const { field: length } = useLengths();
  const arc = useThrottledArc((active) => active);
  const fromStart = useGestureBaseline(mark);
  if (!arc) return null;
  const wholeLength = arcLength(arc);
  const index = move.marks.indexOf(mark);
  const markIds = [mark.id];
  const moveTo = (to: { frame?: number; arcDistance?: number }, undoGroup?: string): void => {
    const start = fromStart(undoGroup);
    // The playhead goes along with it.
    if (to.frame !== undefined) dispatch(marksSelected(markIds));
    edit(
      'moveMarks',
      {
        moveId: move.id,
        markIds,
        takesLater,
        byFrames: (to.frame ?? start.frame) - start.frame,
        byFraction:
          to.arcDistance === undefined || wholeLength === 0
            ? 0
            : to.arcDistance / wholeLength - start.fraction,
      },
      undoGroup,
    );
  };
  const before = move.marks[index - 1];
  const after = move.marks[index + 1];
  const furthest = arc.closed ? 1_000 * wholeLength : wholeLength;
  return (
    <Card isActive>
      <NumberPair
        pair={[
          frameField({
            label: words.onFrame,
            value: mark.frame,
            min: before ? before.frame + 1 : 1,
            max: after && !takesLater ? after.frame - 1 : lastFrameFor(MAX_SHOT_FRAMES, arc.closed),
            onChange: (frame, undoGroup) => moveTo({ frame }, undoGroup),
          }),
          length({
            label: words.place,
            value: mark.fraction * wholeLength,
            min: arc.closed ? -furthest : 0,
            max: furthest,
            decimals: 2,
            disabled: mark.pointId !== null,
            whole: wholeLength,
            onChange: (arcDistance, undoGroup) => moveTo({ arcDistance }, undoGroup),
          }),
        ]}
      />
      <Words tone="soft" testID="mark-percent" className="pb-1 text-right">
        {words.percentOfTheArc(fixed(mark.fraction * 100, 1))}
      </Words>
      <Segmented
        label={words.kindOfMark}
        value={mark.kind}
        options={KINDS}
        onChange={(kind) => edit('setMarks', { moveId: move.id, markIds, kind })}
      />
      <LabelField
        key={mark.id}
        label={mark.label}
        onChange={(label) => edit('setMarks', { moveId: move.id, markIds, label })}
      />
      <TieField move={move} mark={mark} arc={arc} />
      {arc.closed && (
        <View className="mt-2 flex-row flex-wrap gap-2">
          <Button
            label={words.oneLapOn}
            onPress={() => edit('moveMarks', { moveId: move.id, markIds, byFraction: 1, takesLater: false })}
          />
          <Button
            label={words.oneLapBack}
            onPress={() => edit('moveMarks', { moveId: move.id, markIds, byFraction: -1, takesLater: false })}
          />
        </View>
      )}
      <HoldHere move={move} frame={mark.frame} />
      <Handling markIds={markIds} canDelete={move.marks.length > 2} />
    </Card>
  );
}

function SeveralMarks({ move, marks }: { readonly move: Move; readonly marks: readonly Mark[] }) {
  const edit = useEdit();
  const { takesLater } = useSettings();
  const markIds = marks.map(({ id }) => id);
  const first = marks[0]!;
  const fromStart = useGestureBaseline(first);
  const kind = marks.every((mark) => mark.kind === first.kind) ? first.kind : null;
  return (
    <Card isActive>
      <NumberField
        {...frameField({
          label: words.firstOnFrame,
          value: first.frame,
          min: 1,
          max: MAX_SHOT_FRAMES,
          onChange: (frame, undoGroup) =>
            edit(
              'moveMarks',
              { moveId: move.id, markIds, byFrames: frame - fromStart(undoGroup).frame, takesLater },
              undoGroup,
            ),
        })}
      />
      <Segmented
        label={words.kindOfMark}
        value={kind ?? 'mixed'}
        options={KINDS}
        onChange={(next) => {
          if (next !== 'mixed') edit('setMarks', { moveId: move.id, markIds, kind: next });
        }}
      />
      <LabelField
        key={markIds.join(' ')}
        label={marks.every(({ label }) => label === first.label) ? first.label : ''}
        onChange={(label) => edit('setMarks', { moveId: move.id, markIds, label })}
      />
      <Handling markIds={markIds} canDelete={move.marks.length - marks.length >= 2} />
    </Card>
  );
}

interface HandlingProps {
  readonly markIds: readonly string[];
  readonly canDelete: boolean;
}

function Handling({ markIds, canDelete }: HandlingProps) {
  const dispatch = useAppDispatch();
  const isSelected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds.length > 0);
  const what = markIds.length === 1 ? 'mark' : 'marks';
  const withThem = (command: AppThunk): void => {
    dispatch(marksSelected(markIds));
    dispatch(command);
  };
  return (
    <ActionRow
      actions={[
        { label: words.copy(what), icon: Copy, onPress: () => withThem(copySelectedMarks()) },
        isSelected && {
          label: words.deselect,
          icon: Deselect,
          onPress: () => dispatch(marksSelected([])),
        },
        {
          label: words.deleteNamed(what),
          icon: Trash,
          isRemoval: true,
          disabled: !canDelete,
          onPress: () => withThem(deleteSelectedMarks()),
        },
      ]}
    />
  );
}
