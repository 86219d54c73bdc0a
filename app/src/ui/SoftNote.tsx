import { Words } from './Words';

interface SoftNoteProps {
  /** Null says nothing. */
  readonly text: string | null;
  readonly testID?: string;
}

export function SoftNote({ text, testID }: SoftNoteProps) {
  return text === null ? null : (
    <Words tone="soft" testID={testID}>
      {text}
    </Words>
  );
}
