import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fixed, readNumber, signed, writeNumber } from './numbers';
import { colours } from './tokens';

test.each([
  ['12', 12],
  [' 2,5 ', 2.5],
  ['.5', 0.5],
  ['−3', -3],
  ['', null],
  ['soon', null],
  ['1e9', null],
  ['--3', null],
  ['Infinity', null],
])('%p is read as %p', (text, value) => expect(readNumber(text)).toBe(value));

test('numbers are written without zeros that say nothing', () => {
  expect(writeNumber(24, 3)).toBe('24');
  expect(writeNumber(23.976, 3)).toBe('23.976');
  expect(writeNumber(-0.0001, 2)).toBe('0');
});

test('columns have fixed decimals, a true minus, and no negative nothing', () => {
  expect(fixed(5.005, 1)).toBe('5.0');
  expect(fixed(-129.26, 1)).toBe('−129.3');
  expect(fixed(-0.001, 2)).toBe('0.00');
  expect(signed(4, 1)).toBe('+4.0');
  expect(signed(0, 1)).toBe('0.0');
});

/** Relative luminance and contrast by WCAG 2.1. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string): number => {
    const [r, g, b2] = [1, 3, 5]
      .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
      .map((v) => (v <= 0.03928 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b2;
  };
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

describe.each(['paper', 'lampout'] as const)('the %s theme', (theme) => {
  const palette = colours[theme];

  test('words can be read on every ground they stand on', () => {
    for (const ground of ['ground', 'card', 'field', 'desk', 'brasswash'] as const)
      for (const words of ['ink', 'soft'] as const)
        expect(contrast(palette[words], palette[ground])).toBeGreaterThanOrEqual(4.5);
    for (const words of ['brass', 'plum', 'indigo'] as const)
      expect(contrast(palette[words], palette.card)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.onbrass, palette.brass)).toBeGreaterThanOrEqual(4.5);
  });

  test('guides and ghosts stand out from the field', () => {
    for (const guide of ['indigo', 'persimmon', 'brass', 'cool', 'warm', 'slate'] as const)
      expect(contrast(palette[guide], palette.field)).toBeGreaterThanOrEqual(3);
  });

  test('the page’s variables are the tokens', () => {
    const css = readFileSync(join(__dirname, '../global.css'), 'utf8');
    const block = theme === 'paper' ? css.split(':root.lampout')[0]! : css.split(':root.lampout')[1]!;
    for (const [name, value] of Object.entries(palette))
      expect(block.toLowerCase()).toContain(`--${name}: ${value.toLowerCase()};`);
  });
});
