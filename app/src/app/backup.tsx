export { LazyBackupScreen as default } from '../screens/LazyBackupScreen';
