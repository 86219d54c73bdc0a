import { useFonts } from 'expo-font';
import regular from '@expo-google-fonts/spline-sans/400Regular/SplineSans_400Regular.ttf';
import semiBold from '@expo-google-fonts/spline-sans/600SemiBold/SplineSans_600SemiBold.ttf';
import monoRegular from '@expo-google-fonts/spline-sans-mono/400Regular/SplineSansMono_400Regular.ttf';
import monoSemiBold from '@expo-google-fonts/spline-sans-mono/600SemiBold/SplineSansMono_600SemiBold.ttf';

/** Names by which SVG text asks for the fonts. */
export const MONO = 'SplineSansMono_400Regular';
export const SANS = 'SplineSans_400Regular';

/** Loads the four cuts in use; words show in the system's face until they are there. */
export function useOwnFonts(): void {
  useFonts({
    SplineSans_400Regular: regular,
    SplineSans_600SemiBold: semiBold,
    SplineSansMono_400Regular: monoRegular,
    SplineSansMono_600SemiBold: monoSemiBold,
  });
}
