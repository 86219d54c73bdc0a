import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';

function repository(): string {
  let folder = __dirname;
  while (!existsSync(join(folder, 'demo/shots'))) folder = dirname(folder);
  return folder;
}

// Also for a copy of the core that lies deeper.

export const DEMO_SHOTS = join(repository(), 'demo/shots');
export const FONTS = join(repository(), 'node_modules/@expo-google-fonts');
