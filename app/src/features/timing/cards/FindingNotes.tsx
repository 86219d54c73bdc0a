import { firstFrameNumber } from '../../../store/frameNumbers';
import { timingWords as words } from '../../../words/timing';
import { type Move } from '@humble/core';
import { type CheckName, findingsOf } from '@humble/core/checks';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useAppDispatch } from '../../../store/hooks';
import { doEdit } from '../../../store/doEdit';
import { Button } from '../../../ui/Button';
import { Words } from '../../../ui/Words';
import { useThrottledArc, useThrottledShotValue } from '../../../store/throttled/hooks';

/** So many of one kind are shown one by one. */
const MAX_SHOWN = 3;

interface FindingNotesProps {
  readonly check: CheckName;
  readonly move: Move;
  /** Only what is found on this frame. */
  readonly frame?: number;
}

export function FindingNotes({ check, move, frame }: FindingNotesProps) {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const closed = useThrottledArc((arc) => arc.closed) ?? false;
  const dispatch = useAppDispatch();
  const findings = useMemo(
    () =>
      findingsOf(check, { move, arc: { closed }, shot: { lengthFrames } }, firstFrameNumber()).filter(
        ({ from }) => frame === undefined || from === frame,
      ),
    [check, move, closed, lengthFrames, frame],
  );
  const further = findings.length - MAX_SHOWN;
  return findings.length === 0 ? null : (
    <View className="mt-2 gap-1">
      {findings.slice(0, MAX_SHOWN).map(({ from, sentence, fix }) => (
        <View key={from} className="flex-row items-center gap-2">
          <Words role="status" tone="plum" className="flex-1">
            {sentence}
          </Words>
          {fix && (
            <Button
              label={fix.label}
              kind="quiet"
              onPress={() => dispatch(doEdit(fix.edit.name, fix.edit.args))}
            />
          )}
        </View>
      ))}
      {further > 0 && <Words tone="soft">{words.andMoreLikeThis(further)}</Words>}
    </View>
  );
}
