const { colours, sizes } = require('./src/ui/tokens');

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  darkMode: 'class',
  presets: [require('nativewind/preset')],
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
        Object.entries(sizes).map(([name, px]) => [
          name,
          [`${px}px`, `${Math.round((px * 1.35) / 2) * 2}px`],
        ]),
      ),
      borderRadius: { small: '6px', large: '12px' },
    },
  },
};
