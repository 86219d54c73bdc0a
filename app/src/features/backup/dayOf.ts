const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

/** A day as it is written: of a moment, or of the name of a day. */
export const dayOf = (iso: string): string =>
  DAY.format(new Date(iso.includes('T') ? iso : `${iso}T12:00:00`));
