import { View } from 'react-native';
import { failureOf, failureSentence } from '../../persistence/api';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { shotsWords as words } from '../../words/shots';

interface ListNoticeProps {
  readonly error: unknown;
  readonly onRetry: () => void;
  /** What is listed all the same: as it was a moment ago, as this device knows it, or nothing. */
  readonly shows: 'latest' | 'known' | 'nothing';
}

const EXPLAINED = {
  latest: words.thisListMayBeOutOf,
  known: words.knownHere,
  nothing: words.noShotsToShow,
} as const;

/** Why the list could not be fetched. */
export function ListNotice({ error, onRetry, shows }: ListNoticeProps) {
  const failure = failureOf(error);
  return (
    <View role="alert" className="mx-4 mb-3 gap-3 rounded-large border border-plum bg-card p-4">
      <Words size="body">{failure.kind === 'offline' ? words.serverAway : failureSentence(error)}</Words>
      <Words tone="soft">{EXPLAINED[shows]}</Words>
      <Button label={words.tryAgain} onPress={onRetry} />
    </View>
  );
}
