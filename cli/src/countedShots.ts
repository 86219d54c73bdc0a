export const countedShots = (count: number): string => `${count} shot${count === 1 ? '' : 's'}`;
