import { timingWords as words } from '../../../words/timing';
import { MAX_LABEL_LENGTH } from '@humble/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Segmented } from '../../../ui/Segmented';
import { TextField } from '../../../ui/TextField';

const OWN = 'own';
const LABELS = [
  { value: '', label: words.none },
  { value: 'key', label: words.key },
  { value: 'breakdown', label: words.breakdown },
  { value: OWN, label: words.custom },
] as const;

interface LabelFieldProps {
  readonly label: string;
  readonly onChange: (label: string) => void;
}

export function LabelField({ label, onChange }: LabelFieldProps) {
  const known = LABELS.find(({ value }) => value === label && value !== OWN);
  const [isOwn, setOwn] = useState(!known);
  const [text, setText] = useState(known ? '' : label);
  const finish = (): void => {
    if (text.trim() !== label) onChange(text.trim().slice(0, MAX_LABEL_LENGTH));
  };
  return (
    <View className="mt-2 gap-2">
      <Segmented
        label={words.labelOfTheMark}
        value={isOwn || !known ? OWN : known.value}
        options={LABELS}
        onChange={(value) => {
          setOwn(value === OWN);
          if (value !== OWN) onChange(value);
        }}
      />
      {(isOwn || !known) && (
        <TextField
          label={words.customLabel}
          value={text}
          onChange={(next) => setText(next.slice(0, MAX_LABEL_LENGTH))}
          onBlur={finish}
          onSubmit={finish}
        />
      )}
    </View>
  );
}
