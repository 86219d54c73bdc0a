import { useState } from 'react';
import { View } from 'react-native';
import type { LookedBackup as Looked, RestoreWay } from '../../persistence/backups';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { backupWords as words } from '../../words/backup';
import { dayOf } from './dayOf';

/** So many shots are named. */
const MOST_NAMED = 8;

interface LookedBackupProps {
  readonly backup: Looked;
  readonly isBusy: boolean;
  readonly onRestore: (way: RestoreWay) => void;
}

/** What a backup holds, and the two ways of reading it back. */
export function LookedBackup({ backup, isBusy, onRestore }: LookedBackupProps) {
  const [isAsked, setAsked] = useState(false);
  const { madeAt, shots, removedShots, revisions, pictures, sounds, faults } = backup;
  const more = shots.length - MOST_NAMED;
  const replace = (): void => {
    setAsked(false);
    onRestore('instead');
  };
  return (
    <Card title={words.holds(madeAt === null ? null : dayOf(madeAt))}>
      <View className="gap-2" testID="looked-backup">
        <Words>
          {words.contents(shots.length, revisions, pictures, sounds)}
          {removedShots > 0 ? words.moreInBin(removedShots) : ''}.
        </Words>
        <Words tone="soft">
          {shots
            .slice(0, MOST_NAMED)
            .map(({ name }) => `“${name}”`)
            .join(', ')}
          {more > 0 ? ` ${words.moreShots(more)}` : ''}
        </Words>
        {faults.length === 0 ? (
          <Words tone="soft">{words.whole}</Words>
        ) : (
          <View role="alert">
            <Words tone="plum">{words.faulty}</Words>
            {faults.slice(0, MOST_NAMED).map((fault) => (
              <Words key={fault} tone="plum">
                {fault}
              </Words>
            ))}
          </View>
        )}
        <Button label={words.beside} kind="brass" disabled={isBusy} onPress={() => onRestore('beside')} />
        <Words tone="soft">{words.besideHelp}</Words>
        <Button
          label={words.instead}
          kind="plum"
          disabled={isBusy || faults.length > 0}
          onPress={() => setAsked(true)}
        />
        <Words tone="soft">{words.insteadHelp}</Words>
      </View>
      <Dialog title={words.instead} isOpen={isAsked} onClose={() => setAsked(false)}>
        <Words size="body">{words.reallyInstead(shots.length)}</Words>
        <Button label={words.instead} kind="plum" onPress={replace} />
        <Button label={words.keep} onPress={() => setAsked(false)} />
      </Dialog>
    </Card>
  );
}
