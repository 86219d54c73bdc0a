import { uiWords as words } from '../words/ui';
import { useState } from 'react';
import { Pressable } from 'react-native';
import { Dialog } from './Dialog';
import { Words } from './Words';

interface TermTitleProps {
  readonly title: string;
  readonly term: { readonly word: string; readonly meaning: string };
}

export function TermTitle({ title, term: { word, meaning } }: TermTitleProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Pressable
        role="button"
        aria-label={words.whatMeans(title, word)}
        onPress={() => setOpen(true)}
        className="shrink"
      >
        <Words
          role="heading"
          size="body"
          strong
          className="underline decoration-line decoration-dotted underline-offset-4"
        >
          {title}
        </Words>
      </Pressable>
      {isOpen && (
        <Dialog title={word} isOpen onClose={() => setOpen(false)}>
          <Words size="body">{meaning}</Words>
        </Dialog>
      )}
    </>
  );
}
