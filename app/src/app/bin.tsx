export { LazyBinScreen as default } from '../screens/LazyBinScreen';
