import { freshShot } from '@humble/core';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { api, failureSentence } from '../../persistence/api';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { fixed, readNumber } from '../../ui/numbers';
import { Segmented } from '../../ui/Segmented';
import { TextField } from '../../ui/TextField';
import { Words } from '../../ui/Words';
import { checkedShot, offeredShot, type TypedShot } from './newShotForm';

const RATES = [12, 24, 25, 30].map((rate) => ({ value: String(rate), label: String(rate) }));

const FIELDS = [
  { value: '1920 × 1080', label: '16 : 9' },
  { value: '1440 × 1080', label: '4 : 3' },
  { value: '1080 × 1080', label: '1 : 1' },
  { value: '1080 × 1920', label: '9 : 16' },
] as const;

interface NewShotDialogProps {
  /** Of the shots there are. */
  readonly names: readonly string[];
  readonly onClose: () => void;
  readonly onCreated: (id: string) => void;
}

/** Name, rate, length and field of a new shot. */
export function NewShotDialog({ names, onClose, onCreated }: NewShotDialogProps) {
  const dispatch = useAppDispatch();
  const { newShot } = useSettings();
  const [failure, setFailure] = useState<string | null>(null);
  const { control, handleSubmit, setValue, formState } = useForm({
    resolver: checkedShot,
    defaultValues: offeredShot(names, newShot),
  });
  const typed = useWatch({ control });
  const rate = readNumber(typed.rate ?? '');
  const length = readNumber(typed.length ?? '');
  const create = handleSubmit(async ({ name, rate: perSecond, length: lengthFrames, width, height }) => {
    const result = await dispatch(
      api.endpoints.createShot.initiate(freshShot({ name, rate: perSecond, lengthFrames, width, height })),
    );
    if (!result.data) return setFailure(failureSentence(result.error));
    dispatch(settingsChanged({ newShot: { rate: perSecond, length: lengthFrames, width, height } }));
    onClose();
    onCreated(result.data.id);
  });
  const field = (name: keyof TypedShot, label: string, unit?: string, isNumber = true) => (
    <Controller
      name={name}
      control={control}
      render={({ field: { value, onChange, onBlur }, fieldState: { error } }) => (
        <TextField
          label={label}
          unit={unit}
          value={value}
          onChange={onChange}
          onBlur={onBlur}
          onSubmit={() => void create()}
          error={error?.message}
          isNumber={isNumber}
          className="flex-1"
          autoFocus={name === 'name'}
        />
      )}
    />
  );
  return (
    <Dialog title="New shot" isOpen onClose={onClose}>
      <View>{field('name', 'Name', undefined, false)}</View>
      <View className="gap-2">
        <Segmented
          label="Rate"
          value={typed.rate ?? ''}
          options={RATES}
          onChange={(value) => setValue('rate', value, { shouldValidate: true })}
        />
        <View className="flex-row gap-3">
          {field('rate', 'Rate', 'frames a second')}
          {field('length', 'Length', 'frames')}
        </View>
        <Words tone="soft">{rate && length ? `${fixed(length / rate, 2)} seconds` : ' '}</Words>
      </View>
      <View className="gap-2">
        <Segmented
          label="Field"
          value={`${typed.width} × ${typed.height}`}
          options={FIELDS}
          onChange={(size) => {
            const [width = '', height = ''] = size.split(' × ');
            setValue('width', width, { shouldValidate: true });
            setValue('height', height, { shouldValidate: true });
          }}
        />
        <View className="flex-row gap-3">
          {field('width', 'Field width', 'units')}
          {field('height', 'Field height', 'units')}
        </View>
      </View>
      {failure && (
        <Words role="alert" tone="plum">
          {failure}
        </Words>
      )}
      <Button
        label="Create shot"
        kind="brass"
        disabled={formState.isSubmitting}
        onPress={() => void create()}
      />
    </Dialog>
  );
}
