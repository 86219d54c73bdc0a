import { kindsWords as words } from '../../words/kinds';
import Timer from 'lucide-react-native/icons/timer';
import { describeStep } from './stepDescriptor';

export const timing = describeStep({
  name: 'timing',
  label: words.timing,
  icon: Timer,
  edits: 'timing',
  line: 'both',
});
