import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import { freshPhysical, type PhysicalKind, physicalKindOf, physicalSizes } from './moves';

const field = { width: 1920, height: 1080 };
const shot = freshShot({ name: 'Weight', rate: 24, lengthFrames: 48, ...field, widthMm: 960 });
const PLAIN = { damping: 0, swings: 1, rolls: 'slides', miniature: 1 } as const;

test.each<[PhysicalKind, readonly string[]]>([
  ['pendulum', ['length', 'angle']],
  ['fall', ['height']],
  ['bounces', ['height', 'across', 'count', 'restitution']],
  ['toss', ['height', 'across']],
  ['slope', ['length', 'steepness']],
])('a %s is made without drawing it, and each of its sizes can be typed', (kind, names) => {
  const shape = freshPhysical(kind, field);
  expect(physicalKindOf(shape)).toBe(kind);
  const sizes = physicalSizes(shape, 2);
  expect(sizes.map(({ name }) => name)).toEqual(names);
  sizes.forEach(({ name, value, with: change }) => {
    const wanted = name === 'count' ? 2 : name === 'restitution' ? 0.5 : 40;
    const changed = change(wanted);
    const again = physicalSizes(changed, 2);
    expect(again.find((size) => size.name === name)!.value).toBeCloseTo(wanted, 9);
    // The others stay.
    for (const other of again)
      if (other.name !== name)
        expect(other.value).toBeCloseTo(sizes.find((size) => size.name === other.name)!.value, 9);
    expect(physicalKindOf(changed)).toBe(kind);
    expect(value).toBeGreaterThan(0);
  });
  expect(edits.makePhysical(shot, { shape, ...PLAIN }).moves[0]!.physics).toEqual(PLAIN);
});
