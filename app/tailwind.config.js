const { colours, sizes } = require('./src/ui/tokens');

/** Letters follow the size of text that someone has set in the browser, 16 pixels where nobody has. */
const rem = (px) => `${px / 16}rem`;

const STEPS = [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 16, 20, 24, 28, 32];

/**
 * Kinds of classes that nothing here uses. Each sets defaults of its own on every element there is, and those cost
 * time whenever something that is drawn moves.
 */
const UNUSED = Object.fromEntries(
  [
    'borderSpacing',
    'translate',
    'rotate',
    'skew',
    'scale',
    'transform',
    'touchAction',
    'scrollSnapType',
    'gradientColorStops',
    'fontVariantNumeric',
    'ringWidth',
    'ringColor',
    'ringOffsetWidth',
    'ringOffsetColor',
    'boxShadow',
    'boxShadowColor',
    'filter',
    'backdropFilter',
    'contain',
  ].map((name) => [name, false]),
);

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  darkMode: 'class',
  presets: [require('nativewind/preset')],
  corePlugins: UNUSED,
  theme: {
    extend: {
      colors: Object.fromEntries(Object.keys(colours.paper).map((name) => [name, `var(--${name})`])),
      fontFamily: {
        sans: ['SplineSans_400Regular'],
        semi: ['SplineSans_600SemiBold'],
        mono: ['SplineSansMono_400Regular'],
        monosemi: ['SplineSansMono_600SemiBold'],
      },
      fontSize: Object.fromEntries(
        Object.entries(sizes).map(([name, px]) => [name, [rem(px), rem(Math.round((px * 1.35) / 2) * 2)]]),
      ),
      // Distances stay as they are when letters grow: the room goes to the words.
      spacing: Object.fromEntries(STEPS.map((step) => [step, `${step * 4}px`])),
      borderRadius: { small: '6px', large: '12px' },
    },
  },
};
