/** Pictures that may lie inside a drawing, written out in full. */
const INLINE_PICTURE = /^data:image\/(png|jpeg|webp|gif);base64,/i;
/** Fonts may, too; they are not shown. */
const INLINE_FONT = /^data:(font\/|application\/(x-)?font)/i;

/** True when a reference leads out of the drawing. @param mayBePicture whether one written out is meant */
export function leadsOut(reference: string, mayBePicture: boolean): boolean {
  const target = reference.trim();
  if (target === '' || target.startsWith('#')) return false;
  return !(mayBePicture && INLINE_PICTURE.test(target));
}

export const styleLeadsOut = (address: string): boolean =>
  leadsOut(address, true) && !INLINE_FONT.test(address.trim());
