import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import type { PictureService } from './services/pictureService';
import type { ShotService } from './services/shotService';

interface DemoServices {
  readonly shots: ShotService;
  readonly pictures: PictureService;
}

/** Puts the demo film's pictures and shots in, each once: a shot that was changed or removed stays so. */
export async function loadDemo({ shots, pictures }: DemoServices, folder: string): Promise<void> {
  const pictureFolder = join(folder, 'pictures');
  if (existsSync(pictureFolder))
    for (const file of readdirSync(pictureFolder)) {
      const bytes = readFileSync(join(pictureFolder, file));
      if (!(await pictures.has(bytes))) await pictures.keep(bytes, file);
    }
  const shotFolder = join(folder, 'shots');
  const files = readdirSync(shotFolder).filter((file) => file.endsWith('.json'));
  for (const file of files.sort().reverse())
    await shots.createOnce(`demo-${basename(file, '.json')}`, readFileSync(join(shotFolder, file), 'utf8'));
}
