import type { DrawingPicture } from '@humble/core';

/** Ten original drawings of a crab that scuttles to the right, one cycle of its legs. */

const COUNT = 10;
const WIDTH = 140;
const HEIGHT = 100;
const MIDDLE = WIDTH / 2;
const GROUND = 94;
/** Share of a cycle that a leg stands for, and how far its foot goes back meanwhile. */
const STANCE = 0.6;
const STEP = 30;
const LIFT = 12;
/** Where each leg leaves the body, where its foot is in the middle of its step, and how far it is in the cycle. */
const LEGS = [
  { hip: 44, foot: 20, phase: 0 },
  { hip: 54, foot: 46, phase: 1 / 3 },
  { hip: 86, foot: 94, phase: 2 / 3 },
  { hip: 96, foot: 120, phase: 1 / 3 },
] as const;

interface Foot {
  readonly x: number;
  readonly y: number;
  readonly isPlanted: boolean;
}

/** A foot on a drawing, from 0: it goes back evenly while it stands, and forward in a bow. */
function footOn(leg: (typeof LEGS)[number], drawing: number): Foot {
  const phase = (drawing / COUNT + leg.phase) % 1;
  if (phase < STANCE - 1e-9) {
    const back = phase / (STANCE - 1 / COUNT);
    return { x: leg.foot + STEP * (0.5 - back), y: GROUND, isPlanted: true };
  }
  const share = (phase - STANCE + 1 / COUNT) / (1 - STANCE + 1 / COUNT);
  return {
    x: leg.foot + STEP * (share - 0.5),
    y: GROUND - LIFT * Math.sin(Math.PI * share),
    isPlanted: false,
  };
}

const r = (value: number): string => String(Math.round(value * 10) / 10);

function crabSvg(drawing: number): string {
  const bob = 2 * Math.sin((4 * Math.PI * drawing) / COUNT);
  const body = 54 + bob;
  const legs = LEGS.map((leg) => {
    const { x, y } = footOn(leg, drawing);
    const outward = leg.hip < MIDDLE ? -1 : 1;
    const knee = { x: (leg.hip + x) / 2 + 9 * outward, y: body - 4 };
    return `<path d="M${leg.hip} ${r(body + 6)}L${r(knee.x)} ${r(knee.y)}L${r(x)} ${r(y)}" fill="none" stroke="#23252A" stroke-width="5" stroke-linejoin="round" stroke-linecap="round"/>`;
  }).join('');
  const claws = [-1, 1]
    .map((side) => {
      const lift = 4 * Math.sin((2 * Math.PI * drawing) / COUNT + (side > 0 ? 0 : Math.PI));
      const at = (x: number, y: number): string => `${r(MIDDLE + side * x)} ${r(body + y - lift)}`;
      return `<path d="M${r(MIDDLE + side * 26)} ${r(body - 8)}L${at(38, -22)}" stroke="#23252A" stroke-width="6"/>
<path d="M${at(36, -20)}C${at(28, -32)} ${at(34, -46)} ${at(46, -44)}L${at(42, -34)}L${at(54, -38)}C${at(58, -28)} ${at(48, -16)} ${at(36, -20)}Z" fill="#B4461F" stroke="#23252A" stroke-width="2.5" stroke-linejoin="round"/>`;
    })
    .join('');
  const eyes = [-8, 8]
    .map(
      (x) =>
        `<path d="M${MIDDLE + x} ${r(body - 12)}V${r(body - 22)}" stroke="#23252A" stroke-width="3"/><circle cx="${MIDDLE + x}" cy="${r(body - 24)}" r="4" fill="#23252A"/>`,
    )
    .join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}" viewBox="0 0 ${WIDTH} ${HEIGHT}">
${legs}${claws}${eyes}
<path d="M36 ${r(body)}C36 ${r(body - 20)} 104 ${r(body - 20)} 104 ${r(body)}C104 ${r(body + 16)} 36 ${r(body + 16)} 36 ${r(body)}Z" fill="#B4461F" stroke="#23252A" stroke-width="3"/>
</svg>`;
}

export const crabFiles = (): readonly File[] =>
  Array.from(
    { length: COUNT },
    (_, i) => new File([crabSvg(i)], `crab ${i + 1}.svg`, { type: 'image/svg+xml' }),
  );

/** What is planted on them: the first leg while it stands, then the second one. */
export const withCrabFeet = (drawings: readonly DrawingPicture[]): readonly DrawingPicture[] =>
  drawings.map((drawing, i) => {
    const [first, second] = [footOn(LEGS[0], i), footOn(LEGS[1], i)];
    const foot = first.isPlanted ? first : second.isPlanted ? second : null;
    if (!foot) return drawing;
    const spot = { x: Math.round(foot.x * 1e6) / 1e6, y: GROUND };
    return { ...drawing, planted: { ...spot, contact: first.isPlanted ? 1 : 2 } };
  });
