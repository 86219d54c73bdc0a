import type { LucideIcon } from 'lucide-react-native';
import { Pressable, View } from 'react-native';
import { colour } from './colour';
import { Words } from './Words';

interface ButtonProps {
  /** What it is called; shown on it unless something shorter is. */
  readonly label: string;
  readonly shows?: string;
  readonly onPress: () => void;
  readonly icon?: LucideIcon;
  readonly kind?: 'plain' | 'brass' | 'quiet' | 'plum';
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly className?: string;
  readonly testID?: string;
}

const GROUNDS = {
  plain: 'bg-card border border-line',
  brass: 'bg-brass border border-brass',
  quiet: 'bg-transparent border border-transparent',
  plum: 'bg-card border border-plum',
} as const;

/** A long label gives way, its icon does not. */
const UNSHRUNK = { flexShrink: 0 } as const;

/** A verb, at least 44 pixels high. */
export function Button({
  label,
  shows = label,
  onPress,
  icon: Icon,
  kind = 'plain',
  disabled = false,
  pressed,
  className = '',
  testID,
}: ButtonProps) {
  const tone = kind === 'brass' ? 'onbrass' : kind === 'plum' ? 'plum' : 'ink';
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      aria-pressed={pressed}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`min-h-[44px] flex-row items-center justify-center gap-2 rounded-large px-4 ${GROUNDS[kind]} ${pressed ? 'border-brass bg-brasswash' : ''} ${disabled ? 'opacity-40' : ''} ${className}`}
    >
      {Icon && <Icon size={20} strokeWidth={1.75} color={colour[tone]} style={UNSHRUNK} />}
      <Words
        tone={tone}
        strong={kind === 'brass'}
        size={kind === 'brass' ? 'body' : 'small'}
        numberOfLines={1}
      >
        {shows}
      </Words>
    </Pressable>
  );
}

interface IconButtonProps {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly onPress: () => void;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly expanded?: boolean;
}

/** An icon that is clear by itself, on a target of 44 by 44. */
export function IconButton({
  label,
  icon: Icon,
  onPress,
  disabled = false,
  pressed,
  expanded,
}: IconButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      aria-pressed={pressed}
      aria-expanded={expanded}
      disabled={disabled}
      onPress={onPress}
      className={`h-[44px] w-[44px] items-center justify-center rounded-large ${disabled ? 'opacity-30' : ''}`}
      {...tooltip(label)}
    >
      <View className={pressed ? 'rounded-small bg-brasswash p-1' : 'p-1'}>
        <Icon size={24} strokeWidth={1.75} color={pressed ? colour.brass : colour.ink} />
      </View>
    </Pressable>
  );
}

/** React Native has no tooltip; on the web a view passes its data set on, and the page's style shows it. */
const tooltip = (label: string): object => ({ dataSet: { tooltip: label } });
