import { Pressable, View } from 'react-native';
import { Words } from './Words';

interface ToggleProps {
  readonly label: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

export function Toggle({ label, value, onChange }: ToggleProps) {
  return (
    <Pressable
      role="switch"
      aria-checked={value}
      aria-label={label}
      onPress={() => onChange(!value)}
      className="min-h-[48px] flex-row items-center justify-between gap-3"
    >
      <Words size="body" className="shrink">
        {label}
      </Words>
      <View
        className={`h-[28px] w-[48px] justify-center rounded-full border px-[3px] ${value ? 'border-brass bg-brass' : 'border-soft bg-ground'}`}
      >
        <View
          className={`h-[20px] w-[20px] rounded-full ${value ? 'self-end bg-onbrass' : 'self-start bg-soft'}`}
        />
      </View>
    </Pressable>
  );
}
