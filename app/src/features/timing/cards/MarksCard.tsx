import { timingWords as words } from '../../../words/timing';
import { TERMS } from '../../../words/terms';
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
import { selectSelectedMarks } from '../../../store/selectors/timingSelection';
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
import {
  useThrottledArc,
  useThrottledMove,
  useThrottledSelector,
  useThrottledFramesOfMove,
  useThrottledEditor,
} from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

const KINDS = [
  { value: 'stop', label: words.stop },
  { value: 'pass', label: words.pass },
] as const;

export const MarksCard = memo(function MarksCard() {
  const isSelected = useThrottledSelector((state) => selectSelectedMarks(state).length > 0);
  return isSelected ? <SelectedMarks /> : <NoMark />;
});

function SelectedMarks() {
  const move = useThrottledMove();
  const selectedIds = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const selected = move?.marks.filter(({ id }) => selectedIds.includes(id)) ?? [];
  if (!move || selected.length === 0) return null;
  return selected.length === 1 ? (
    <OneMark move={move} mark={selected[0]!} />
  ) : (
    <SeveralMarks move={move} marks={selected} />
  );
}

function NoMark() {
  const move = useThrottledFramesOfMove();
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const copied = useThrottledEditor((editor) => editor.copied);
  if (!move) return null;
  const mark = move.marks.find((candidate) => candidate.frame === frame);
  return (
    <Card title={words.frame(frameNumber(frame))} aside={mark ? words.aMark : undefined}>
      <View className="flex-row flex-wrap gap-2">
        {mark ? (
          <Button
            label={words.selectTheMark}
            icon={Flag}
            onPress={() => dispatch(marksSelected([mark.id]))}
          />
        ) : (
          <Button label={words.addAMark} icon={Flag} kind="brass" onPress={() => dispatch(addMark())} />
        )}
        {copied && (
          <Button label={words.pasteMarks} icon={ClipboardPaste} onPress={() => dispatch(pasteMarks())} />
        )}
      </View>
      <HoldHere move={move} frame={frame} />
      <Together />
    </Card>
  );
}

/** What goes for every change in time: whether later marks come along; and selecting several with a finger. */
function Together() {
  const dispatch = useAppDispatch();
  const { takesLater } = useSettings();
  const isSeveral = useThrottledEditor(({ isSelectingSeveral }) => isSelectingSeveral);
  return (
    <>
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
    </>
  );
}

function OneMark({ move, mark }: { readonly move: Move; readonly mark: Mark }) {
  const edit = useEdit();
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
    <Card
      title={words.markOnFrame(frameNumber(mark.frame))}
      term={TERMS.mark}
      aside={mark.label || undefined}
      isActive
    >
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
      <Handling count={1} canDelete={move.marks.length > 2} />
      <Together />
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
    <Card title={words.marks(marks.length)} isActive>
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
      <Handling count={marks.length} canDelete={move.marks.length - marks.length >= 2} />
      <Together />
    </Card>
  );
}

function Handling({ count, canDelete }: { readonly count: number; readonly canDelete: boolean }) {
  const dispatch = useAppDispatch();
  const what = count === 1 ? 'mark' : 'marks';
  const frame = useThrottledFrame();
  const isMarked = useThrottledMove()?.marks.some((mark) => mark.frame === frame) ?? true;
  return (
    <ActionRow
      actions={[
        // At the playhead, whatever is selected.
        !isMarked && { label: words.addAMarkHere, icon: Flag, onPress: () => dispatch(addMark()) },
        { label: words.copy(what), icon: Copy, onPress: () => dispatch(copySelectedMarks()) },
        { label: words.deselect, icon: Deselect, onPress: () => dispatch(marksSelected([])) },
        {
          label: words.deleteNamed(what),
          icon: Trash,
          isRemoval: true,
          disabled: !canDelete,
          onPress: () => dispatch(deleteSelectedMarks()),
        },
      ]}
    />
  );
}
