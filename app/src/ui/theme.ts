/** The two themes; a shot at the desk wants paper, a dark studio wants the lamp out. */
export type Theme = 'paper' | 'lampout';

/** The theme the machine asks for when the user has not chosen one. */
export const preferredTheme = (): Theme =>
  typeof matchMedia === 'function' && matchMedia('(prefers-color-scheme: dark)').matches
    ? 'lampout'
    : 'paper';

export function applyTheme(theme: Theme): void {
  if (typeof document === 'undefined') return;
  document.documentElement.classList.toggle('lampout', theme === 'lampout');
}
