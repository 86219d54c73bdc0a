import { shotsWords as words } from '../../words/shots';
/** A name that no shot has yet: “Shot 5”. @param names of the shots there are */
export function offeredName(names: readonly string[]): string {
  const taken = new Set(names);
  let number = names.length + 1;
  while (taken.has(words.shotNumbered(number))) number++;
  return words.shotNumbered(number);
}
