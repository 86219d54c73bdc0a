/** A file name from a shot's name: letters, digits and hyphens. */
export const fileNameOf = (shotName: string, ending: string): string =>
  `${
    shotName
      .normalize('NFKD')
      .replace(/[\u0300-\u036f]/g, '')
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .toLowerCase() || 'shot'
  }${ending}`;
