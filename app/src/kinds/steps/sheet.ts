import { kindsWords as words } from '../../words/kinds';
import Rows from 'lucide-react-native/icons/rows-3';
import { describeStep } from './stepDescriptor';

export const sheet = describeStep({
  name: 'sheet',
  label: words.sheet,
  icon: Rows,
  edits: 'nothing',
  line: 'numbers',
});
