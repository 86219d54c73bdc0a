import Timer from 'lucide-react-native/icons/timer';
import { describeStep } from './stepDescriptor';

export const timing = describeStep({
  name: 'timing',
  label: 'Timing',
  icon: Timer,
  edits: 'timing',
  fieldShare: 0.29,
  line: 'both',
});
