import type { LucideIcon } from 'lucide-react-native';
import { Pressable, View } from 'react-native';
import { colour } from './colour';
import { Words } from './Words';

export interface Action {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly onPress?: () => void;
  /** It does something for as long as it is held. */
  readonly onHold?: (isHeld: boolean) => void;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  /** It takes something away for good, until it is undone. */
  readonly isRemoval?: boolean;
}

interface ActionRowProps {
  /** Actions of one kind; what is false is left out. */
  readonly actions: readonly (Action | false)[];
}

/** Actions of one kind side by side: an icon with its word beneath, without a frame. */
export function ActionRow({ actions }: ActionRowProps) {
  const shown = actions.filter((action) => action !== false);
  return (
    <View className="-mx-2 flex-row flex-wrap">
      {shown.map((action) => (
        <ActionButton key={action.label} {...action} />
      ))}
    </View>
  );
}

/** Fewer than five do not spread over the whole row; where many would be too narrow to be read they take two. */
const WIDTHS = { minWidth: 52, maxWidth: 104 } as const;

function ActionButton({
  label,
  icon: Icon,
  onPress,
  onHold,
  disabled = false,
  pressed,
  isRemoval = false,
}: Action) {
  const tone = isRemoval ? 'plum' : 'ink';
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-disabled={disabled}
      aria-pressed={pressed}
      disabled={disabled}
      onPress={onPress}
      onPressIn={onHold && (() => onHold(true))}
      onPressOut={onHold && (() => onHold(false))}
      style={WIDTHS}
      className={`min-h-[60px] flex-1 items-center gap-1 rounded-large px-1 py-2 ${pressed ? 'bg-brasswash' : ''} ${disabled ? 'opacity-40' : ''}`}
    >
      <Icon size={20} strokeWidth={1.75} color={colour[tone]} />
      <Words size="tiny" tone={tone} strong={pressed} numberOfLines={2} className="text-center">
        {label}
      </Words>
    </Pressable>
  );
}
