import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { PictureService } from './services/pictureService';
import type { ShotService } from './services/shotService';
import type { SoundService } from './services/soundService';

interface DemoServices {
  readonly shots: ShotService;
  readonly pictures: PictureService;
  readonly sounds: SoundService;
}

/**
 * Puts the demo film's pictures, sounds and shots in, each once: a shot that was changed stays so.
 * @param restores whether shots of it that were removed come back, as they do when somebody asks for the film
 */
export async function loadDemo(
  { shots, pictures, sounds }: DemoServices,
  folder: string,
  restores = false,
): Promise<void> {
  const pictureFolder = join(folder, 'pictures');
  if (existsSync(pictureFolder))
    for (const file of readdirSync(pictureFolder)) {
      const bytes = readFileSync(join(pictureFolder, file));
      if (!(await pictures.has(bytes))) await pictures.keep(bytes, file);
    }
  const soundFolder = join(folder, 'sounds');
  if (existsSync(soundFolder))
    for (const file of readdirSync(soundFolder)) {
      const bytes = readFileSync(join(soundFolder, file));
      if (!(await sounds.has(bytes))) await sounds.keep(bytes, file);
    }
  const shotFolder = join(folder, 'shots');
  const files = readdirSync(shotFolder).filter((file) => file.endsWith('.json'));
  for (const file of files.sort().reverse()) {
    const id = `demo-${basename(file, '.json')}`;
    await shots.createOnce(id, readFileSync(join(shotFolder, file), 'utf8'));
    if (restores) await shots.restore(id);
  }
}
