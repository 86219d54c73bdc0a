import { pngFile, pngInGreys } from './png';

interface Sheet {
  readonly name: string;
  /** How the paper lies on the scanner. */
  readonly turnDeg?: number;
  readonly shift?: readonly [x: number, y: number];
  /** The egg that is drawn on it. */
  readonly egg: { readonly x: number; readonly y: number; readonly across: number; readonly down: number };
  /** How many of the three register marks are on it. */
  readonly marks?: number;
}

const [WIDTH, HEIGHT] = [640, 480];
const ARM = 12;

/** A scan of a pencil drawing: an egg in line on paper that is lit unevenly, with register marks along its lower edge. */
export function scanned({ name, turnDeg = 0, shift = [0, 0], egg, marks = 3 }: Sheet) {
  const angle = (turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const crosses = [100, 320, 540].slice(0, marks);
  const awayFromInk = (x: number, y: number): number => {
    const mean = (egg.across + egg.down) / 2;
    const line = Math.abs(Math.hypot((x - egg.x) / egg.across, (y - egg.y) / egg.down) - 1) * mean - 2;
    return crosses.reduce((least, at) => {
      const [dx, dy] = [Math.abs(x - at), Math.abs(y - 440)];
      return Math.min(least, Math.max(dx - 1.5, dy - ARM), Math.max(dy - 1.5, dx - ARM));
    }, line);
  };
  const picture = pngInGreys(WIDTH, HEIGHT, (px, py) => {
    const [dx, dy] = [px + 0.5 - WIDTH / 2 - shift[0], py + 0.5 - HEIGHT / 2 - shift[1]];
    const away = awayFromInk(WIDTH / 2 + cos * dx + sin * dy, HEIGHT / 2 - sin * dx + cos * dy);
    const dark = Math.min(1, Math.max(0, 0.5 - away));
    return (240 - 0.1 * px - 0.08 * py) * (1 - 0.8 * dark);
  });
  return pngFile(name, picture);
}

/** Two drawings of an egg, upright and lying, scanned one straight and one askew. */
export const twoScans = () =>
  [
    scanned({ name: 'egg 1.png', egg: { x: 320, y: 220, across: 80, down: 120 } }),
    scanned({
      name: 'egg 2.png',
      turnDeg: 1.8,
      shift: [5, -4],
      egg: { x: 320, y: 220, across: 120, down: 80 },
    }),
  ] as const;
