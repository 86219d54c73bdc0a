import type { Shot } from '../model/schema';
import { lookOf } from '../motion/look';
import { cameraStates, type PartTrack, partTracks } from '../motion/partTracks';
import { type PictureSource, TONE_COLOURS } from './sceneSvg';

type Value =
  | { readonly a: 0; readonly k: number | readonly number[] }
  | {
      readonly a: 1;
      readonly k: readonly { readonly t: number; readonly s: readonly number[]; readonly h: 1 }[];
    };

const round = (value: number): number => Number(value.toFixed(4)) + 0;
const still = (k: number | readonly number[]): Value => ({ a: 0, k });

function held<State extends { readonly frame: number }>(
  states: readonly State[],
  of: (state: State) => readonly number[],
): Value {
  const values = states.map((state) => of(state).map(round));
  if (values.every((value) => value.join() === values[0]!.join()))
    return still(values[0]!.length === 1 ? values[0]![0]! : values[0]!);
  return { a: 1, k: states.map(({ frame }, i) => ({ t: frame - 1, s: values[i]!, h: 1 as const })) };
}

interface Transform {
  readonly p?: Value;
  readonly r?: Value;
  readonly s?: Value;
  readonly a?: Value;
  readonly o?: Value;
}

const placed = ({ p, r, s, a, o }: Transform) => ({
  o: o ?? still(100),
  r: r ?? still(0),
  p: p ?? still([0, 0, 0]),
  a: a ?? still([0, 0, 0]),
  s: s ?? still([100, 100, 100]),
});

const COORDINATES: Readonly<Record<string, number>> = { M: 2, L: 2, C: 6, Z: 0 };

interface Ring {
  readonly v: [number, number][];
  readonly i: [number, number][];
  readonly o: [number, number][];
  c: boolean;
}

/** Path data of lines and cubics as rings: points with the handles before and after each, counted from it. */
function ringsOf(d: string): readonly Ring[] {
  const rings: Ring[] = [];
  for (const [, letter, text] of d.matchAll(/([MLCZ])([^MLCZ]*)/g)) {
    const numbers = (text!.match(/-?[\d.]+(e-?\d+)?/g) ?? []).map(Number);
    const ring = rings[rings.length - 1];
    if (letter === 'Z') {
      if (ring) ring.c = true;
      continue;
    }
    const each = COORDINATES[letter!]!;
    for (let at = 0; at + each <= numbers.length; at += each) {
      const own = numbers.slice(at, at + each);
      const [x, y] = own.slice(-2) as [number, number];
      if (letter === 'M' && at === 0) {
        rings.push({ v: [[x, y]], i: [[0, 0]], o: [[0, 0]], c: false });
        continue;
      }
      const into = rings[rings.length - 1]!;
      const last = into.v.length - 1;
      const [fromX, fromY] = into.v[last]!;
      if (letter === 'C') into.o[last] = [own[0]! - fromX, own[1]! - fromY];
      into.v.push([x, y]);
      into.i.push(letter === 'C' ? [own[2]! - x, own[3]! - y] : [0, 0]);
      into.o.push([0, 0]);
    }
  }
  return rings;
}

const colourOf = (hex: string): readonly number[] => [
  ...[1, 3, 5].map((at) => round(parseInt(hex.slice(at, at + 2), 16) / 255)),
  1,
];

const shapeItems = (d: string, hex: string) => ({
  ty: 'gr',
  it: [
    ...ringsOf(d).map((ring) => ({ ty: 'sh', ks: still(ring as unknown as readonly number[]) })),
    { ty: 'fl', c: still(colourOf(hex)), o: still(100), r: 1 },
    { ty: 'tr', ...placed({}) },
  ],
});

interface Asset {
  readonly id: string;
  readonly w: number;
  readonly h: number;
  readonly u: '';
  readonly p: string;
  readonly e: 1;
}

interface Layer {
  readonly ind: number;
  readonly parent?: number;
  readonly [key: string]: unknown;
}

/** Layers that are written one after the other, those at the back first, and the pictures that they use. */
function createWriter(shot: Shot, source: PictureSource) {
  const layers: Layer[] = [];
  const assets = new Map<string, Asset>();
  const layer = (kind: object, parent?: number): number => {
    const ind = layers.length + 1;
    layers.push({
      ddd: 0,
      ind,
      ...(parent === undefined ? {} : { parent }),
      sr: 1,
      ao: 0,
      ip: 0,
      op: shot.lengthFrames,
      st: 0,
      bm: 0,
      ...kind,
    });
    return ind;
  };
  const empty = (nm: string, ks: object, parent?: number): number => layer({ ty: 3, nm, ks }, parent);

  function drawing(track: PartTrack, number: number, parent: number): void {
    const { figure, states, name } = track;
    const look = lookOf(figure, number);
    const ks = placed({
      a: still([round(look.pivot.x), round(look.pivot.y), 0]),
      s: held(states, ({ scale }) => [100 * scale.across, 100 * scale.down, 100]),
      o: held(states, (state) => [state.drawing === number ? 100 * state.opacity : 0]),
    });
    const href = look.picture && source(look.picture);
    if (href && look.picture) {
      const { sha256, width, height } = look.picture;
      assets.set(sha256, { id: sha256, w: width, h: height, u: '', p: href, e: 1 });
      layer({ ty: 2, nm: name, refId: sha256, ks }, parent);
      return;
    }
    // The first item of a shape lies on top.
    const shapes = [{ d: look.silhouette, tone: 'ink' as const }, ...look.details]
      .map(({ d, tone }) => shapeItems(d, TONE_COLOURS[tone]))
      .reverse();
    layer({ ty: 4, nm: name, shapes, ks }, parent);
  }

  /** What the camera sees hangs on an empty layer that moves against it; nothing where all is seen. */
  function seenThroughCamera(): number | undefined {
    const states = cameraStates(shot);
    if (!states) return undefined;
    const { width, height } = shot.field;
    return empty(
      'Camera',
      placed({
        p: still([round(width / 2), round(height / 2), 0]),
        a: held(states, ({ x, y }) => [x, y, 0]),
        s: held(states, (state) => [(100 * width) / state.width, (100 * width) / state.width, 100]),
        r: held(states, ({ turnDeg }) => [-turnDeg]),
      }),
    );
  }
  const seen = seenThroughCamera();

  return {
    part: (track: PartTrack): void => {
      const { states, flipX, flipY, frontDeg, name } = track;
      const parent = track.isFixedToCamera ? undefined : seen;
      const [first] = states;
      if (!first) return;
      if (first.bent !== null) {
        // An outline that changes as a whole: one layer for each exposure.
        states.forEach((state, i) => {
          const until = (states[i + 1]?.frame ?? shot.lengthFrames + 1) - 1;
          layer(
            {
              ty: 4,
              nm: name,
              shapes: [shapeItems(state.bent ?? '', TONE_COLOURS.ink)],
              ks: placed({ o: still(round(100 * state.opacity)) }),
              ip: state.frame - 1,
              op: until,
            },
            parent,
          );
        });
        return;
      }
      const rides = empty(
        name,
        placed({
          p: held(states, ({ x, y }) => [x, y, 0]),
          r: held(states, ({ headingDeg }) => [headingDeg]),
        }),
        parent,
      );
      const flipped = flipX * flipY < 0;
      const faces = empty(
        `${name}, facing`,
        placed({
          s: still([100 * flipX, 100 * flipY, 100]),
          r: still(round(flipped ? frontDeg : -frontDeg)),
        }),
        rides,
      );
      for (const number of new Set(states.map((state) => state.drawing))) drawing(track, number, faces);
    },
    written: () => ({ assets: [...assets.values()], layers: [...layers].reverse() }),
  };
}

/**
 * A shot as Lottie JSON (version 5.7 of its schema): every figure and part on every exposure where the evaluation has it,
 * each value held until the next. A picture whose bytes are not known, and one that is bent, is its outline.
 */
export function lottieJson(shot: Shot, source: PictureSource): string {
  const writer = createWriter(shot, source);
  partTracks(shot).forEach(writer.part);
  const { assets, layers } = writer.written();
  const { width, height } = shot.field;
  return `${JSON.stringify({
    v: '5.7.0',
    nm: shot.name,
    fr: shot.rate,
    ip: 0,
    op: shot.lengthFrames,
    w: Math.round(width),
    h: Math.round(height),
    ddd: 0,
    assets,
    layers,
  })}\n`;
}
