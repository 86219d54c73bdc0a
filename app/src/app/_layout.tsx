import '../global.css';
import { Slot } from 'expo-router';
import { View } from 'react-native';
import { StoreProvider } from '../store/StoreProvider';
import { store } from '../persistence/appStore';
import { useOwnFonts } from '../ui/fonts';

export default function RootLayout() {
  useOwnFonts();
  return (
    <StoreProvider store={store}>
      <View role="main" className="flex-1 bg-ground">
        <Slot />
      </View>
    </StoreProvider>
  );
}
