import { Refusal } from '../ui/refusal';
import { PICTURE_LIMITS, sizeFault } from '@humble/core';
import { cycleWords as words } from '../words/cycle';
import { figuresWords } from '../words/figures';
import { persistenceWords } from '../words/persistence';

const stem = (name: string): string => name.replace(/\.[a-z0-9]+$/i, '');

/**
 * Cuts a picture into cells of one size, from left to right and row by row.
 * @returns a PNG file for each cell, as large as it is in the picture; a rest of less than a pixel a cell is left out
 * @throws Refusal with a sentence
 */
export async function cutStrip(file: File, across: number, down: number): Promise<readonly File[]> {
  if (file.size > PICTURE_LIMITS.bytes)
    throw new Refusal(persistenceWords.isLargerThan(file.name, PICTURE_LIMITS.bytes));
  const address = URL.createObjectURL(file);
  try {
    const image = new Image();
    image.src = address;
    await image.decode().catch(() => {
      throw new Refusal(figuresWords.cannotBeDrawn(file.name));
    });
    const fault = sizeFault({ width: image.naturalWidth, height: image.naturalHeight });
    if (fault) throw new Refusal(`“${file.name}”: ${fault}`);
    const [width, height] = [Math.floor(image.naturalWidth / across), Math.floor(image.naturalHeight / down)];
    if (width < 1 || height < 1) throw new Refusal(words.tooSmall);
    const canvas = document.createElement('canvas');
    canvas.width = width;
    canvas.height = height;
    const context = canvas.getContext('2d')!;
    const cells: File[] = [];
    for (let cell = 0; cell < across * down; cell++) {
      context.clearRect(0, 0, width, height);
      context.drawImage(image, -(cell % across) * width, -Math.floor(cell / across) * height);
      const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
      if (!blob) throw new Refusal(figuresWords.cannotBeDrawn(file.name));
      cells.push(new File([blob], `${stem(file.name)} ${cell + 1}.png`, { type: 'image/png' }));
    }
    return cells;
  } finally {
    URL.revokeObjectURL(address);
  }
}
