import { useEffect } from 'react';
import { View } from 'react-native';
import { Button } from './Button';
import { useLayout } from './layout';
import { Words } from './Words';

interface ToastProps {
  readonly text: string;
  readonly action?: { readonly label: string; readonly onPress: () => void };
  readonly onDone: () => void;
}

/** Long enough to read a sentence and reach for its button. */
const SHOWN_MS = 8000;

export function Toast({ text, action, onDone }: ToastProps) {
  const { isWide } = useLayout();
  useEffect(() => {
    const timer = setTimeout(onDone, SHOWN_MS);
    return () => clearTimeout(timer);
  }, [text, onDone]);
  return (
    <View
      pointerEvents="box-none"
      className={`absolute left-0 right-0 items-center px-4 ${isWide ? 'bottom-6' : 'bottom-[84px]'}`}
    >
      <View
        role="status"
        aria-live="polite"
        className="max-w-[520px] flex-row items-center gap-3 rounded-large border border-line bg-card py-1 pl-4 pr-1"
      >
        <Words className="shrink py-3 pr-3">{text}</Words>
        {action && <Button label={action.label} kind="quiet" onPress={action.onPress} />}
      </View>
    </View>
  );
}
