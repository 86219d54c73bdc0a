import type { Shot } from '@humble/core';
import { pictureSource } from '../persistence/pictures';
import { sha256Of } from '../persistence/sha256';
import { soundAddress } from '../persistence/sounds';
import { fileFormats } from './fileFormats';

export interface ShotFiles {
  readonly files: ReadonlyMap<string, Uint8Array>;
  readonly missing: readonly string[];
}

async function bytesAt(source: Blob | string): Promise<Uint8Array | null> {
  if (typeof source !== 'string') return new Uint8Array(await source.arrayBuffer());
  const response = await fetch(source).catch(() => null);
  return response?.ok ? new Uint8Array(await response.arrayBuffer()) : null;
}

async function filesOfShots(
  shots: readonly Shot[],
  wanted: 'pictures' | 'files' = 'files',
): Promise<ShotFiles> {
  const { picturesOf, soundsOf } = await fileFormats();
  const files = new Map<string, Uint8Array>();
  const missing: string[] = [];
  const fetchAll = async (
    all: readonly { readonly sha256: string; readonly name: string }[],
    sourceOf: (sha256: string) => Blob | string,
  ): Promise<void> => {
    for (const { sha256, name } of all) {
      const bytes = await bytesAt(sourceOf(sha256));
      if (bytes) files.set(sha256, bytes);
      else missing.push(name);
    }
  };
  await fetchAll(picturesOf(shots), pictureSource);
  if (wanted === 'files') await fetchAll(soundsOf(shots), soundAddress);
  return { files, missing };
}

/** Shots with their files as they are given away: pictures without what a camera had noted in them. */
export async function shotsToGive(
  shots: readonly Shot[],
  wanted: 'pictures' | 'files' = 'files',
): Promise<ShotFiles & { readonly shots: readonly Shot[] }> {
  const { files, missing } = await filesOfShots(shots, wanted);
  const { withoutNotesOfCameras } = await fileFormats();
  return { ...(await withoutNotesOfCameras({ shots, files }, sha256Of)), missing };
}
