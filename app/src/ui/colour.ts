import { Platform } from 'react-native';
import { colours } from './tokens';

export type ColourName = keyof typeof colours.paper;

/**
 * Colours for drawings. On the web they are the page's own variables, so that a change of theme needs no
 * new render; elsewhere there are no such variables, and drawings are on paper.
 */
export const colour: Readonly<Record<ColourName, string>> =
  Platform.OS === 'web'
    ? (Object.fromEntries(Object.keys(colours.paper).map((name) => [name, `var(--${name})`])) as Record<
        ColourName,
        string
      >)
    : colours.paper;
