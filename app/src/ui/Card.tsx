import { createContext, type ReactNode, useContext } from 'react';
import { View } from 'react-native';
import { TermTitle } from './TermTitle';
import { NumericText, Words } from './Words';

interface CardProps {
  readonly title?: string;
  /** A word of the trade in the title: a tap on it says what it means. */
  readonly term?: { readonly word: string; readonly meaning: string };
  /** A short fact beside the title; text is set in figures. */
  readonly aside?: ReactNode;
  readonly children?: ReactNode;
  readonly isActive?: boolean;
}

const Flat = createContext(false);

/** Cards in there have no border of their own: what is round them sets them apart already. */
export const FlatCards = ({ children }: { readonly children: ReactNode }) => (
  <Flat.Provider value>{children}</Flat.Provider>
);

export function Card({ title, term, aside, children, isActive = false }: CardProps) {
  const isFlat = useContext(Flat);
  const border = isActive ? 'border-brass' : 'border-line';
  return (
    <View className={isFlat ? '' : `rounded-large border bg-card px-4 py-3 ${border}`}>
      {title !== undefined && (
        <View className="mb-1 flex-row flex-wrap items-baseline justify-between gap-x-3">
          {term ? (
            <TermTitle title={title} term={term} />
          ) : (
            <Words role="heading" size="body" strong className="shrink">
              {title}
            </Words>
          )}
          {typeof aside === 'string' ? <NumericText tone="soft">{aside}</NumericText> : aside}
        </View>
      )}
      {children}
    </View>
  );
}
