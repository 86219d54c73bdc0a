import type { ShotFinding } from '@humble/core/checks';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { goTo } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { figureActivated } from '../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { findingShown } from '../../store/reviewSlice';
import { Button } from '../../ui/Button';
import { FoldingSection } from '../../ui/FoldingSection';
import { NumericText, Words } from '../../ui/Words';
import { findingWords as words } from '../../words/findings';
import { LazyThresholds } from './LazyThresholds';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

/** So many are listed; a shot with more of them has to be mended first. */
const MAX_SHOWN = 50;

const framesText = ({ from, until }: ShotFinding): string =>
  from === until ? `${frameNumber(from)}` : `${frameNumber(from)}–${frameNumber(until)}`;

const keyOf = ({ moveId, check, from }: ShotFinding): string => `${moveId} ${check} ${from}`;

/**
 * To check, each leading to its frame and shown in the views, with what would mend it where that is known;
 * what was let be, and from where on something is told.
 */
export function Findings({ findings }: { readonly findings: readonly ShotFinding[] }) {
  const [opened, setOpened] = useState<'let-be' | 'thresholds' | null>(null);
  const toggled = (what: 'let-be' | 'thresholds') => () => setOpened(opened === what ? null : what);
  const open = findings.filter(({ isLetBe }) => !isLetBe);
  const letBe = findings.filter(({ isLetBe }) => isLetBe);
  const further = open.length - MAX_SHOWN;
  return (
    <View>
      {open.length === 0 && <Words tone="soft">{words.nothingToMend}</Words>}
      <View role="list" aria-label={words.whatTheChecksFound}>
        {open.slice(0, MAX_SHOWN).map((finding) => (
          <FindingLine key={keyOf(finding)} finding={finding} />
        ))}
      </View>
      {further > 0 && <Words tone="soft">{words.andMore(further)}</Words>}
      {letBe.length > 0 && (
        <FoldingSection
          title={words.letBe(letBe.length)}
          isOpen={opened === 'let-be'}
          onToggle={toggled('let-be')}
        >
          <View role="list" aria-label={words.letBe(letBe.length)}>
            {letBe.slice(0, MAX_SHOWN).map((finding) => (
              <FindingLine key={keyOf(finding)} finding={finding} />
            ))}
          </View>
        </FoldingSection>
      )}
      <FoldingSection
        title={words.whenToTell}
        isOpen={opened === 'thresholds'}
        onToggle={toggled('thresholds')}
      >
        <LazyThresholds />
      </FoldingSection>
    </View>
  );
}

function FindingLine({ finding }: { readonly finding: ShotFinding }) {
  const { sentence, fix, figure, from, until, gravity, moveId, check, isLetBe } = finding;
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const { moves } = useThrottledShot();
  const isShown = useThrottledSelector(({ review: { shownFinding } }) =>
    Boolean(shownFinding && keyOf(shownFinding) === keyOf(finding)),
  );
  const move = moves.find(({ id }) => id === moveId);
  const look = (): void => {
    if (move) dispatch(figureActivated({ figureId: move.figureId, arcId: move.arcId }));
    dispatch(findingShown(isShown ? null : finding));
    goTo(from);
  };
  const tone = gravity === 'mistake' ? 'plum' : 'ink';
  return (
    <View role="listitem" className={`border-t border-line px-2 py-2 ${isShown ? 'bg-brasswash' : ''}`}>
      <Pressable
        role="button"
        aria-label={words.goToFrame(frameNumber(from), sentence)}
        aria-pressed={isShown}
        onPress={look}
      >
        <View className="flex-row items-baseline justify-between gap-3">
          <NumericText strong tone={tone}>
            {framesText(finding)}
          </NumericText>
          {moves.length > 1 && (
            <Words tone="soft" size="tiny" numberOfLines={1} className="shrink">
              {figure}
            </Words>
          )}
        </View>
        <Words tone={tone}>{sentence}</Words>
      </Pressable>
      <View className="mt-1 flex-row flex-wrap gap-2">
        {fix && !isLetBe && (
          <Button label={fix.label} onPress={() => dispatch(doEdit(fix.edit.name, fix.edit.args))} />
        )}
        <Button
          label={isLetBe ? words.tellAgain : words.letItBe}
          kind="quiet"
          onPress={() => {
            dispatch(findingShown(null));
            if (isLetBe) edit('tellAgain', { moveId, check, from, until });
            else edit('letBe', { moveId, check, frame: from });
          }}
        />
      </View>
    </View>
  );
}
