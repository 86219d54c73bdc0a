import { Zip, ZipPassThrough } from 'fflate';
import type { FrameEncoder } from './frameEncoder';

export const pngOf = async (canvas: OffscreenCanvas): Promise<Uint8Array> =>
  new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());

/** The first time that a ZIP file knows: the same pictures are the same bytes. */
export const ZIP_TIME = new Date(1980, 0, 1);

export function pngZip(): FrameEncoder {
  const chunks: Uint8Array[] = [];
  let fault: Error | null = null;
  const zip = new Zip((error, chunk) => {
    if (error) fault = error;
    else chunks.push(chunk);
  });
  return {
    add: async (canvas, number) => {
      const file = new ZipPassThrough(`frame-${String(number).padStart(4, '0')}.png`);
      file.mtime = ZIP_TIME;
      zip.add(file);
      file.push(await pngOf(canvas), true);
      if (fault) throw fault;
    },
    finish: async () => {
      zip.end();
      return new Uint8Array(await new Blob(chunks as BlobPart[]).arrayBuffer());
    },
  };
}
