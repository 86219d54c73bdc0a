type Palette = Readonly<
  Record<
    | 'ground'
    | 'card'
    | 'desk'
    | 'field'
    | 'ink'
    | 'soft'
    | 'line'
    | 'brass'
    | 'onbrass'
    | 'brasswash'
    | 'indigo'
    | 'persimmon'
    | 'moss'
    | 'plum'
    | 'cool'
    | 'warm'
    | 'slate'
    | 'veil',
    string
  >
>;

export const colours: { readonly paper: Palette; readonly lampout: Palette };
export const sizes: Readonly<Record<'tiny' | 'small' | 'body' | 'title' | 'display', number>>;
