import PersonStanding from 'lucide-react-native/icons/person-standing';
import { describeStep } from './stepDescriptor';

export const figure = describeStep({
  name: 'figure',
  label: 'Figure',
  icon: PersonStanding,
  edits: 'poses',
  fieldShare: 0.33,
  line: 'hint',
});
