import { helpWords as words } from '../../words/help';
import BookOpen from 'lucide-react-native/icons/book-open';
import Flame from 'lucide-react-native/icons/flame';
import Keyboard from 'lucide-react-native/icons/keyboard';
import { View } from 'react-native';
import { groupsOf } from '../../kinds/groups';
import { type WorkStep, stepDescriptor } from '../../kinds/steps';
import { TERMS } from '../../words/terms';
import { useSession } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { ShortcutList } from './ShortcutList';
import { STEP_HELP, type StepHelp } from '../../words/stepHelp';
import { StepPicture } from './StepPicture';

/** A step without help does not compile. */
const HELP: Readonly<Record<WorkStep, StepHelp>> = STEP_HELP;

interface HelpDialogProps {
  readonly onClose: () => void;
  readonly onAllKeys: () => void;
  readonly onGuide: () => void;
  readonly onTryIt: () => void;
}

export function HelpDialog({ onClose, onAllKeys, onGuide, onTryIt }: HelpDialogProps) {
  const step = useSession((session) => session.step);
  const { lead, ways, terms, keys } = HELP[step];
  const groups = groupsOf(step).map(({ label, help }) => [label, help] as const);
  return (
    <Dialog title={words.whatItsFor(stepDescriptor(step).label)} isOpen onClose={onClose}>
      <View className="rounded-large border border-line bg-field px-2">
        <StepPicture step={step} />
      </View>
      <Words size="body">{lead}</Words>
      {ways.map((way) => (
        <Words key={way} className="pl-3">{`– ${way}`}</Words>
      ))}
      {groups.length > 0 && <Pairs title={words.inItsPanel} pairs={groups} />}
      <Pairs title={words.words} pairs={terms.map((name) => [TERMS[name].word, TERMS[name].meaning])} />
      {keys.map((place, i) => (
        <ShortcutList key={place} place={place} title={i === 0 ? words.keys : undefined} />
      ))}
      <View className="flex-row flex-wrap gap-2">
        <Button label={words.guide} icon={BookOpen} onPress={onGuide} />
        <Button label={words.tryIt} icon={Flame} onPress={onTryIt} />
        <Button label={words.allKeys} icon={Keyboard} onPress={onAllKeys} />
      </View>
    </Dialog>
  );
}

interface PairsProps {
  readonly title: string;
  readonly pairs: readonly (readonly [name: string, sentence: string])[];
}

const Pairs = ({ title, pairs }: PairsProps) => (
  <View className="gap-1">
    <Words role="heading" strong>
      {title}
    </Words>
    {pairs.map(([name, sentence]) => (
      <Words key={name}>
        <Words strong>{name}</Words>
        {`: ${sentence}`}
      </Words>
    ))}
  </View>
);
