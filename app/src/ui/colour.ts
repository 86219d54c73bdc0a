import { colours } from './tokens';

export type ColourName = keyof typeof colours.paper;

/** Colours as the page's own variables: a change of theme needs no new render. */
export const colour = Object.fromEntries(
  Object.keys(colours.paper).map((name) => [name, `var(--${name})`]),
) as Readonly<Record<ColourName, string>>;
