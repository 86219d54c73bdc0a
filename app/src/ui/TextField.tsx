import { TextInput, View } from 'react-native';
import { Words } from './Words';

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onSubmit?: () => void;
  readonly onBlur?: () => void;
  readonly error?: string;
  readonly unit?: string;
  readonly isNumber?: boolean;
  readonly placeholder?: string;
  readonly className?: string;
  readonly autoFocus?: boolean;
}

export function TextField({
  label,
  value,
  onChange,
  onSubmit,
  onBlur,
  error,
  unit,
  isNumber = false,
  placeholder,
  className = '',
  autoFocus = false,
}: TextFieldProps) {
  return (
    <View className={className}>
      <Words tone="soft" className="mb-1">
        {unit ? `${label}, ${unit}` : label}
      </Words>
      <TextInput
        aria-label={unit ? `${label}, ${unit}` : label}
        aria-invalid={error !== undefined}
        value={value}
        onChangeText={onChange}
        onSubmitEditing={onSubmit}
        onBlur={onBlur}
        autoFocus={autoFocus}
        placeholder={placeholder}
        inputMode={isNumber ? 'decimal' : 'text'}
        selectTextOnFocus={isNumber || autoFocus}
        className={`h-[44px] rounded-large border bg-ground px-3 text-body text-ink ${isNumber ? 'font-mono' : 'font-sans'} ${error ? 'border-plum' : 'border-line'}`}
      />
      {error !== undefined && (
        <Words role="alert" tone="plum" className="mt-1">
          {error}
        </Words>
      )}
    </View>
  );
}
