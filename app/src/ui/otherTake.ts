/** How another take is drawn beside the current one in every view: a line of its own, by tone and by dashes. */
export const OTHER_TAKE = { tone: 'moss', dashes: [8, 3, 2, 3] } as const;
