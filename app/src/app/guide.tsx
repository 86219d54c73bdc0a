export { LazyGuideScreen as default } from '../screens/LazyGuideScreen';
