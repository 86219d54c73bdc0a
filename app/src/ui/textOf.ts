import type { PickedFile } from './files';

export const textOf = ({ bytes }: PickedFile): string => new TextDecoder().decode(bytes);
