import { kindsWords as words } from '../../words/kinds';
import PersonStanding from 'lucide-react-native/icons/person-standing';
import { describeStep } from './stepDescriptor';

export const figure = describeStep({
  name: 'figure',
  label: words.figure,
  icon: PersonStanding,
  edits: 'poses',
  line: 'hint-first',
});
