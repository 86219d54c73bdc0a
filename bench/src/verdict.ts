let missed = 0;

/** Says whether a budget is kept. */
export function verdict(what: string, isKept: boolean): void {
  if (!isKept) missed++;
  console.log(`${isKept ? 'kept  ' : 'MISSED'}  ${what}`);
}

/** How many were not. */
export const missedBudgets = (): number => missed;
