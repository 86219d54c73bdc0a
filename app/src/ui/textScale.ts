/** The size of text where nobody has set another, pixels. */
const USUAL_PX = 16;
/** From here on words get more lines and the width of the row. */
const LARGE_FROM = 1.25;

let scale = 0;

/** How large someone has set the text of the browser, 1 where nobody has. It is read once. */
export function textScale(): number {
  if (scale === 0)
    scale =
      typeof document === 'undefined' || typeof getComputedStyle === 'undefined'
        ? 1
        : (parseFloat(getComputedStyle(document.documentElement).fontSize) || USUAL_PX) / USUAL_PX;
  return scale;
}

export const isLargeText = (): boolean => textScale() >= LARGE_FROM;
