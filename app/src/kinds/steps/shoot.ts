import { kindsWords as words } from '../../words/kinds';
import Aperture from 'lucide-react-native/icons/aperture';
import { describeStep } from './stepDescriptor';

export const shoot = describeStep({
  name: 'shoot',
  label: words.shoot,
  icon: Aperture,
  edits: 'pictures',
  line: 'hint',
});
