export { LazyShotScreen as default } from '../../screens/LazyShotScreen';
