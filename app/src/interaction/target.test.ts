import { defineTarget, type Target, targetAt } from './target';

interface Pins {
  readonly pins: readonly number[];
}

const handled: string[] = [];
const pin = defineTarget<Pins, { readonly id: number }>({
  kind: 'pin',
  reachPx: () => 10,
  items: ({ pins }) => pins.map((x, id) => ({ id, x, y: 0 })),
  press: (_, { id }) => ({ tap: () => void handled.push(`pin ${id}`) }),
});
/** Lies everywhere along the line, and has a menu only. */
const line = defineTarget<Pins, object>({
  kind: 'line',
  leadPx: 3,
  items: (_, at) => [{ x: at.x, y: 0 }],
  menu: () => ({ title: 'Line', items: [] }),
});
const shield = defineTarget<Pins, object>({
  kind: 'shield',
  leadPx: 100,
  items: (_, { y }) => (y > 5 ? [{ x: 0, y }] : []),
  press: () => null,
});

const targets: readonly Target<Pins>[] = [shield, pin, line];
const view: Pins = { pins: [0, 8, 40] };
const raw = (x: number, y = 0) => ({ x, y, isShift: false, isTouch: false, trail: [] });

test('the nearest of a kind is taken, within its reach', () => {
  targetAt(targets, view, { x: 5, y: 0 })?.press?.(raw(5))?.tap?.(raw(5));
  expect(handled).toEqual(['pin 1']);
  expect(targetAt(targets, view, { x: 20, y: 0 })).toBeNull();
});

test('what has no menu does not hide what has one', () => {
  expect(targetAt(targets, view, { x: 0, y: 0 }, 'menu')?.kind).toBe('line');
  expect(targetAt(targets, view, { x: 0, y: 0 })?.kind).toBe('pin');
});

test('a kind that leads is taken before one that is nearer, and may leave the press to the ground', () => {
  const found = targetAt(targets, view, { x: 8, y: 6 });
  expect(found?.kind).toBe('shield');
  expect(found?.press?.(raw(8, 6))).toBeNull();
});

test('of two kinds alike near the first in the table is taken', () => {
  const twin = defineTarget<Pins, object>({
    kind: 'twin',
    items: () => [{ x: 40, y: 0 }],
    press: () => ({}),
  });
  expect(targetAt([twin, pin], view, { x: 40, y: 0 })?.kind).toBe('twin');
  expect(targetAt([pin, twin], view, { x: 40, y: 0 })?.kind).toBe('pin');
});
