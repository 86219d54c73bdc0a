export { PairScreen as default } from '../screens/PairScreen';
