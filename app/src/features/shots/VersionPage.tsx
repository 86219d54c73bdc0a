import { REVISIONS_LISTED } from '@humble/core/routes';
import { useState } from 'react';
import { View } from 'react-native';
import { failureSentence, useListRevisionsQuery } from '../../persistence/api';
import { useSession } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { historyWords as words } from '../../words/history';
import { VersionEntry } from './VersionEntry';

interface VersionPageProps {
  readonly id: string;
  readonly before: number;
  readonly isNewest?: boolean;
}

/** Some versions of a shot, and a way to the ones before them. */
export function VersionPage({ id, before, isNewest = false }: VersionPageProps) {
  const { data, error } = useListRevisionsQuery({ id, before });
  const current = useSession(({ document }) => document?.revision ?? 0);
  const [isLonger, setLonger] = useState(false);
  const oldest = data?.revisions.at(-1)?.revision;
  const isLast = !data || data.revisions.length < REVISIONS_LISTED;
  return (
    <>
      <View role="list" aria-label={words.history} className="gap-2">
        {data?.revisions.map((version) => (
          <VersionEntry
            key={version.revision}
            version={version}
            isNow={isNewest && version.revision === current}
            isOldest={isLast && version.revision === oldest}
          />
        ))}
      </View>
      {error && (
        <Words role="alert" tone="plum">
          {failureSentence(error)}
        </Words>
      )}
      {!isLast && !isLonger && <Button label={words.showOlder} onPress={() => setLonger(true)} />}
      {isLonger && oldest !== undefined && <VersionPage id={id} before={oldest} />}
    </>
  );
}
