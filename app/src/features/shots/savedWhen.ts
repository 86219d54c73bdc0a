const TIME = new Intl.DateTimeFormat(undefined, {
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
  hourCycle: 'h23',
});
const DAY = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  hourCycle: 'h23',
});

/** When a version was saved: to the second for today, of which there are many; else the day with its time. */
export function savedWhen(iso: string, now: Date): string {
  const date = new Date(iso);
  return (date.toDateString() === now.toDateString() ? TIME : DAY).format(date);
}
