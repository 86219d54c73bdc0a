import { shotAlong, arcOf, corner } from '../testing/shapes';
import { ShotError } from '../model/errors';
import { pictureOn } from '../motion/backdropPicture';
import { edits } from './edits';
import { openShot } from '../model/openShot';
import type { Picture } from '../model/schema';

const picture = (name: string, width: number, height: number): Picture => ({
  sha256: name.repeat(64).slice(0, 64),
  type: 'image/png',
  name: `${name}.png`,
  width,
  height,
});
const shot = shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 24);

test('a picture just covers the field; another one takes its place over', () => {
  const wide = edits.putBackdrop(shot, { pictures: [picture('a', 4000, 1080)] });
  expect(wide.backdrop).toMatchObject({ x: 960, y: 540, width: 4000 });
  const tall = edits.putBackdrop(shot, { pictures: [picture('b', 1080, 1920)] });
  expect(tall.backdrop!.width).toBe(1920);
  const moved = edits.setBackdrop(wide, { x: 100, strength: 0.4, locked: true });
  const swapped = edits.putBackdrop(moved, { pictures: [picture('c', 10, 10)] });
  expect(swapped.backdrop).toMatchObject({ x: 100, strength: 0.4, width: 4000 });
  expect(edits.removeBackdrop(swapped).backdrop).toBeNull();
});

test('of a sequence each picture is seen for its frames, and the last one stays', () => {
  const pictures = ['a', 'b', 'c'].map((name) => picture(name, 10, 10));
  const laid = edits.setBackdrop(edits.putBackdrop(shot, { pictures }), { framesEach: 2 }).backdrop!;
  const seen = [1, 2, 3, 4, 5, 6, 7, 24].map((frame) => pictureOn(laid, frame).name[0]);
  expect(seen.join('')).toBe('aabbcccc');
});

test('a line over something of known length gives the scale, in any unit', () => {
  const scale = (length: number, unit: 'mm' | 'cm' | 'in'): number | null =>
    edits.calibrate(shot, { fieldLength: 800, length, unit }).field.unitsPerMm;
  expect(scale(100, 'mm')).toBeCloseTo(8, 12);
  expect(scale(10, 'cm')).toBeCloseTo(8, 12);
  expect(scale(100 / 25.4, 'in')).toBeCloseTo(8, 12);
  expect(edits.calibrate(shot, { fieldLength: 800, length: 100, unit: 'mm' }).sheet.units).toBe('mm');
  expect(() => scale(0, 'mm')).toThrow(ShotError);
  expect(() => scale(1e9, 'cm')).toThrow('no sensible scale');
});

test('a shot of the first version reads as one of this version, with nothing lost', () => {
  const { backdrop: _backdrop, ...old } = shot;
  const first = {
    ...old,
    version: 1,
    arcs: old.arcs.map(({ id, name, closed, points }) => ({
      id,
      name,
      closed,
      points: points.map(({ shaping: _shaping, ...point }) => point),
    })),
    moves: old.moves.map(({ keeps: _keeps, ...move }) => move),
  };
  expect(openShot(JSON.parse(JSON.stringify(first)))).toEqual(shot);
});
