import '../global.css';
import { Slot } from 'expo-router';
import { View } from 'react-native';
import { Provider } from 'react-redux';
import { store } from '../state/store';
import { useOwnFonts } from '../ui/fonts';

export default function RootLayout() {
  useOwnFonts();
  return (
    <Provider store={store}>
      <View role="main" className="flex-1 bg-ground">
        <Slot />
      </View>
    </Provider>
  );
}
