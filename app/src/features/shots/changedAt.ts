const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short' });
const DAY_AND_YEAR = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

/** When a shot was last changed: the time for today, else the day, with its year when that is another. */
export function changedAt(iso: string, now: Date): string {
  const date = new Date(iso);
  if (date.toDateString() === now.toDateString()) return TIME.format(date);
  return (date.getFullYear() === now.getFullYear() ? DAY : DAY_AND_YEAR).format(date);
}
