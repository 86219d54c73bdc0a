import { kindsWords as words } from '../../words/kinds';
import Spline from 'lucide-react-native/icons/spline';
import { describeStep } from './stepDescriptor';

export const arc = describeStep({
  name: 'arc',
  label: words.arc,
  icon: Spline,
  edits: 'arcs',
  line: 'hint',
});
