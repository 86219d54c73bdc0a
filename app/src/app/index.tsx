export { ShotsScreen as default } from '../screens/ShotsScreen';
