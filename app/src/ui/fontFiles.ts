import { Refusal } from './refusal';
import others from '@expo-google-fonts/noto-sans/400Regular/NotoSans_400Regular.ttf';
import sans from '@expo-google-fonts/spline-sans/400Regular/SplineSans_400Regular.ttf';
import mono from '@expo-google-fonts/spline-sans-mono/400Regular/SplineSansMono_400Regular.ttf';
import { Asset } from 'expo-asset';
import { printWords as words } from '../words/print';

async function bytesOf(file: number | string): Promise<Uint8Array> {
  const response = await fetch(Asset.fromModule(file).uri).catch(() => null);
  if (!response?.ok) throw new Refusal(words.fontsAreMissing);
  return new Uint8Array(await response.arrayBuffer());
}

interface FontFiles {
  readonly sans: Uint8Array;
  readonly mono: Uint8Array;
  readonly others: () => Promise<Uint8Array>;
}

/** The fonts that words and numbers are set in, as files. @throws Refusal with a sentence */
export const fontFiles = async (): Promise<FontFiles> => ({
  sans: await bytesOf(sans),
  mono: await bytesOf(mono),
  others: () => bytesOf(others),
});
