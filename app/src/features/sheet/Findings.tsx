import { frameNumber } from '@humble/core';
import type { ShotFinding } from '@humble/core/checks';
import { Pressable, View } from 'react-native';
import { goTo } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { figureActivated } from '../../store/editorSlice';
import { useAppDispatch, useThrottledShot } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { NumericText, Words } from '../../ui/Words';
import { findingWords as words } from '../../words/findings';

/** So many are listed; a shot with more of them has to be mended first. */
const MOST_SHOWN = 50;

const framesText = ({ from, until }: ShotFinding): string =>
  from === until ? `${frameNumber(from)}` : `${frameNumber(from)}–${frameNumber(until)}`;

/** What the checks found, each leading to its frame, with what would mend it where that is known. */
export function Findings({ findings }: { readonly findings: readonly ShotFinding[] }) {
  if (findings.length === 0) return <Words tone="soft">{words.nothingToMend}</Words>;
  const further = findings.length - MOST_SHOWN;
  return (
    <View role="list" aria-label={words.whatTheChecksFound} className="gap-1">
      {findings.slice(0, MOST_SHOWN).map((finding) => (
        <FindingLine key={`${finding.moveId}-${finding.check}-${finding.from}`} finding={finding} />
      ))}
      {further > 0 && <Words tone="soft">{words.andMore(further)}</Words>}
    </View>
  );
}

function FindingLine({ finding }: { readonly finding: ShotFinding }) {
  const { sentence, fix, figure, from, gravity, moveId } = finding;
  const dispatch = useAppDispatch();
  const { moves } = useThrottledShot();
  const move = moves.find(({ id }) => id === moveId);
  const look = (): void => {
    if (move) dispatch(figureActivated({ figureId: move.figureId, arcId: move.arcId }));
    goTo(from);
  };
  return (
    <View role="listitem" className="border-t border-line py-2">
      <Pressable role="button" aria-label={words.goToFrame(frameNumber(from), sentence)} onPress={look}>
        <View className="flex-row items-baseline justify-between gap-3">
          <NumericText strong tone={gravity === 'mistake' ? 'plum' : 'ink'}>
            {framesText(finding)}
          </NumericText>
          {moves.length > 1 && (
            <Words tone="soft" size="tiny" numberOfLines={1} className="shrink">
              {figure}
            </Words>
          )}
        </View>
        <Words tone={gravity === 'mistake' ? 'plum' : 'ink'}>{sentence}</Words>
      </Pressable>
      {fix && (
        <View className="mt-1 flex-row">
          <Button
            label={fix.label}
            kind="quiet"
            onPress={() => dispatch(doEdit(fix.edit.name, fix.edit.args))}
          />
        </View>
      )}
    </View>
  );
}
