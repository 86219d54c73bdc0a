import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { readShotFile } from '@humble/core';
import type { ShotService } from './services/shotService';

/** Puts the demo film's shots in, each once: a shot that was changed or removed stays so. */
export async function loadDemo(service: ShotService, folder: string): Promise<void> {
  const files = readdirSync(folder).filter((file) => file.endsWith('.json'));
  for (const file of files.sort().reverse())
    await service.createOnce(
      `demo-${basename(file, '.json')}`,
      readShotFile(readFileSync(join(folder, file), 'utf8')),
    );
}
