import type { PickedFile } from './files';

/** The text of a file. */
export const textOf = ({ bytes }: PickedFile): string => new TextDecoder().decode(bytes);
