import { strFromU8 } from 'fflate';
import type { PictureSource } from './sceneSvg';

export function pictureSourceFrom(files: ReadonlyMap<string, Uint8Array>): PictureSource {
  const known = new Map<string, string>();
  return ({ sha256, type }) => {
    const bytes = files.get(sha256);
    if (!bytes) return null;
    const address = known.get(sha256) ?? `data:${type};base64,${btoa(strFromU8(bytes, true))}`;
    known.set(sha256, address);
    return address;
  };
}
