/** Eight drawings of a rowing boat seen from above, one stroke of its oars, and the parts of an eel. Drawn for this project. */

const WIDTH = 200;
const HEIGHT = 130;
const MIDDLE = HEIGHT / 2;
/** So far from the keel the blades are, and so far they go back from one drawing to the next in the water. */
export const BLADE_AWAY = 46;
export const STROKE_STEP = 20;
const IN_WATER = 5;
const COUNT = 8;
/** The spot of the boat that sits on the arc: the rowing bench. */
export const BENCH = { x: 100, y: MIDDLE } as const;

/** How far ahead of the bench the blades are on a drawing, from 0, and whether they are in the water. */
function bladeOn(drawing: number): { readonly ahead: number; readonly isIn: boolean } {
  const reach = (STROKE_STEP * (IN_WATER - 1)) / 2;
  if (drawing < IN_WATER) return { ahead: reach - STROKE_STEP * drawing, isIn: true };
  const share = (drawing - IN_WATER + 1) / (COUNT - IN_WATER + 1);
  return { ahead: -reach + 2 * reach * share, isIn: false };
}

/** A drawing of the stroke. @param drawing from 0 */
export function rowingSvg(drawing: number): string {
  const { ahead, isIn } = bladeOn(drawing);
  const oar = (side: 1 | -1): string => {
    const [x, y] = [BENCH.x + ahead, MIDDLE + side * BLADE_AWAY];
    const [lockX, lockY] = [BENCH.x + 6, MIDDLE + side * 22];
    const blade = isIn
      ? `<path d="M${x - 9} ${y - 4}L${x + 9} ${y - 4}L${x + 9} ${y + 4}L${x - 9} ${y + 4}Z" fill="#3f6b8c" stroke="#23252a" stroke-width="2"/>`
      : `<path d="M${x - 8} ${y - 3}L${x + 8} ${y - 3}L${x + 8} ${y + 3}L${x - 8} ${y + 3}Z" fill="#e8dcc0" stroke="#23252a" stroke-width="2"/>`;
    return `<path d="M${BENCH.x - 8} ${MIDDLE + side * 5}L${lockX} ${lockY}L${x} ${y}" fill="none" stroke="#7a5a2c" stroke-width="4" stroke-linejoin="round"/>${blade}`;
  };
  // The rower leans against the stroke.
  const lean = -ahead / 5;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}">
  <title>Rowing boat, drawing ${drawing + 1} of the stroke</title>
  <path d="M22 ${MIDDLE - 18}C60 ${MIDDLE - 30} 130 ${MIDDLE - 30} 186 ${MIDDLE}C130 ${MIDDLE + 30} 60 ${MIDDLE + 30} 22 ${MIDDLE + 18}Z" fill="#a8763e" stroke="#23252a" stroke-width="4" stroke-linejoin="round"/>
  <path d="M34 ${MIDDLE - 11}C66 ${MIDDLE - 20} 124 ${MIDDLE - 20} 162 ${MIDDLE}C124 ${MIDDLE + 20} 66 ${MIDDLE + 20} 34 ${MIDDLE + 11}Z" fill="#d9b27a"/>
  <path d="M92 ${MIDDLE - 18}L104 ${MIDDLE - 18}L104 ${MIDDLE + 18}L92 ${MIDDLE + 18}Z" fill="#7a5a2c"/>
  ${oar(-1)}${oar(1)}
  <circle cx="${BENCH.x - 2 + lean}" cy="${MIDDLE}" r="12" fill="#2f4b8c" stroke="#23252a" stroke-width="3"/>
  <circle cx="${BENCH.x - 2 + lean * 1.4}" cy="${MIDDLE}" r="6" fill="#e8c8a0" stroke="#23252a" stroke-width="2"/>
</svg>
`;
}

/** The spot of the left blade that stays in the water; null while it is lifted. */
export function plantedOn(drawing: number) {
  const { ahead, isIn } = bladeOn(drawing);
  return isIn ? { x: BENCH.x + ahead, y: MIDDLE - BLADE_AWAY, contact: 1 } : null;
}

/** What of a drawing is seen, roughly: the hull and both oars. */
export function rowingOutline(drawing: number): number[] {
  const { ahead } = bladeOn(drawing);
  const x = BENCH.x + ahead;
  const [top, foot] = [MIDDLE - BLADE_AWAY - 4, MIDDLE + BLADE_AWAY + 4];
  return [
    [
      22,
      MIDDLE - 18,
      60,
      MIDDLE - 27,
      BENCH.x,
      MIDDLE - 27,
      x - 9,
      top,
      x + 9,
      top,
      BENCH.x + 12,
      MIDDLE - 27,
    ],
    [130, MIDDLE - 24, 186, MIDDLE, 130, MIDDLE + 24],
    [
      BENCH.x + 12,
      MIDDLE + 27,
      x + 9,
      foot,
      x - 9,
      foot,
      BENCH.x,
      MIDDLE + 27,
      60,
      MIDDLE + 27,
      22,
      MIDDLE + 18,
    ],
  ].flat();
}

export const ROWING_COUNT = COUNT;

/** A link of the eel, its nose to the right. */
export const EEL_LINK = `<svg xmlns="http://www.w3.org/2000/svg" width="80" height="50" viewBox="0 0 80 50">
  <title>A link of the eel</title>
  <path d="M4 25C4 8 30 4 50 6C66 8 76 16 76 25C76 34 66 42 50 44C30 46 4 42 4 25Z" fill="#4f6b4a" stroke="#23252a" stroke-width="3"/>
  <path d="M12 25C22 20 52 18 68 25" fill="none" stroke="#86b98b" stroke-width="3"/>
</svg>
`;
export const EEL_LINK_OUTLINE = [4, 25, 10, 12, 30, 6, 50, 6, 66, 10, 76, 25, 66, 40, 50, 44, 30, 44, 10, 38];

/** Its head, which looks to the right. */
export const EEL_HEAD = `<svg xmlns="http://www.w3.org/2000/svg" width="90" height="50" viewBox="0 0 90 50">
  <title>The head of the eel</title>
  <path d="M4 25C4 8 34 3 56 8C72 12 86 20 86 26C86 31 72 40 56 43C34 47 4 42 4 25Z" fill="#5a7a54" stroke="#23252a" stroke-width="3"/>
  <circle cx="62" cy="18" r="4" fill="#fffcf5" stroke="#23252a" stroke-width="2"/>
  <path d="M84 27C76 30 68 31 60 30" fill="none" stroke="#23252a" stroke-width="2"/>
</svg>
`;
export const EEL_HEAD_OUTLINE = [4, 25, 12, 11, 34, 6, 56, 8, 72, 13, 86, 26, 72, 37, 56, 43, 34, 44, 12, 39];

/** Its whole body as one strip, to be bent along the arc: the head end on the right. */
export const EEL_STRIP = `<svg xmlns="http://www.w3.org/2000/svg" width="640" height="60" viewBox="0 0 640 60">
  <title>The body of the eel as a strip</title>
  <path d="M4 30C160 22 360 8 560 6C606 6 636 16 636 30C636 44 606 54 560 54C360 52 160 38 4 30Z" fill="#4f6b4a" stroke="#23252a" stroke-width="3"/>
  <path d="M40 30C220 26 400 20 610 28" fill="none" stroke="#86b98b" stroke-width="4"/>
</svg>
`;
export const EEL_STRIP_OUTLINE = [
  4, 30, 160, 23, 360, 11, 480, 7, 560, 6, 606, 9, 636, 30, 606, 51, 560, 54, 480, 53, 360, 49, 160, 37,
];
