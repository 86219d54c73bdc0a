import { handOver } from '../../persistence/handedOver';
import { newShotWords as words } from '../../words/newShot';
import { freshShot, inFormat } from '@humble/core';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { api, failureSentence } from '../../persistence/api';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { settingsChanged } from '../../store/settingsSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { goToNextField, isTouch } from '../../ui/nextField';
import { fixed, readNumber, writeNumber } from '../../ui/numbers';
import { Segmented } from '../../ui/Segmented';
import { TextField } from '../../ui/TextField';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { checkedShot, offeredShot, type TypedShot } from './newShotForm';
import { offeredName } from './offeredName';

const RATES = [12, 24, 25, 30].map((rate) => ({ value: String(rate), label: String(rate) }));

const FIELDS = [
  { value: '1920 × 1080', label: '16 : 9' },
  { value: '1440 × 1080', label: '4 : 3' },
  { value: '1080 × 1080', label: '1 : 1' },
  { value: '1080 × 1920', label: '9 : 16' },
] as const;

interface NewShotDialogProps {
  readonly names: readonly string[];
  readonly films: readonly string[];
  readonly onClose: () => void;
  readonly onCreated: (id: string) => void;
}

export function NewShotDialog({ names, films, onClose, onCreated }: NewShotDialogProps) {
  const dispatch = useAppDispatch();
  const { newShot, lastFilm } = useSettings();
  const [failure, setFailure] = useState<string | null>(null);
  const { control, handleSubmit, setValue, formState } = useForm({
    resolver: checkedShot,
    defaultValues: offeredShot(names, films.includes(lastFilm) ? lastFilm : '', newShot),
  });
  const typed = useWatch({ control });
  const [isLocked, setLocked] = useState(true);
  const [format, setFormat] = useState(newShot.width / newShot.height);
  const follow = (side: 'width' | 'height', text: string): void => {
    const length = readNumber(text);
    if (!isLocked || length === null) return;
    const other = side === 'width' ? 'height' : 'width';
    setValue(other, writeNumber(inFormat(side, length, format)[other], 1), { shouldValidate: true });
  };
  const rate = readNumber(typed.rate ?? '');
  const length = readNumber(typed.length ?? '');
  const create = handleSubmit(async ({ name, film, rate: perSecond, length: lengthFrames, ...field }) => {
    const result = await dispatch(
      api.endpoints.createShot.initiate(
        freshShot({ name: name || offeredName(names), film, rate: perSecond, lengthFrames, ...field }),
      ),
    );
    if (!result.data) return setFailure(failureSentence(result.error));
    dispatch(
      settingsChanged({
        lastFilm: film,
        newShot: { rate: perSecond, length: lengthFrames, ...field },
      }),
    );
    onClose();
    handOver(result.data);
    onCreated(result.data.id);
  });
  const field = (
    name: keyof TypedShot,
    label: string,
    { unit, isNumber = true, onTyped }: FieldOptions = {},
  ) => (
    <Controller
      name={name}
      control={control}
      render={({ field: { value, onChange, onBlur }, fieldState: { error } }) => (
        <TextField
          label={label}
          unit={unit}
          value={value}
          onChange={(text) => {
            onChange(text);
            onTyped?.(text);
          }}
          onBlur={onBlur}
          onSubmit={() => goToNextField() || void create()}
          error={error?.message}
          isNumber={isNumber}
          className="flex-1"
          autoFocus={name === 'name' && !isTouch()}
          placeholder={name === 'name' ? offeredName(names) : undefined}
        />
      )}
    />
  );
  return (
    <Dialog title={words.newShot} isOpen onClose={onClose}>
      <View className="flex-row gap-3">
        {field('name', words.name, { isNumber: false })}
        {field('film', words.film, { isNumber: false })}
      </View>
      {films.length > 0 && (
        <FilmChoice films={films} value={typed.film ?? ''} onChoose={(film) => setValue('film', film)} />
      )}
      <View className="gap-2">
        <View className="flex-row items-end gap-3">
          <View className="flex-1">
            <Segmented
              label={words.rate}
              value={typed.rate ?? ''}
              options={RATES}
              onChange={(value) => setValue('rate', value, { shouldValidate: true })}
            />
          </View>
          <View className="w-[152px] flex-row">
            {field('rate', words.rate, { unit: words.framesASecond })}
          </View>
        </View>
        <View className="flex-row items-center gap-3">
          {field('length', words.length, { unit: 'frames' })}
          <Words tone="soft" className="flex-1 pt-6">
            {rate && length ? words.seconds(fixed(length / rate, 2)) : ' '}
          </Words>
        </View>
      </View>
      <View className="gap-2">
        <Segmented
          label={words.field}
          value={`${typed.width} × ${typed.height}`}
          options={FIELDS}
          onChange={(size) => {
            const [width = '', height = ''] = size.split(' × ');
            setValue('width', width, { shouldValidate: true });
            setValue('height', height, { shouldValidate: true });
            setFormat(Number(width) / Number(height));
          }}
        />
        <View className="flex-row gap-3">
          {field('width', words.fieldWidth, { unit: 'units', onTyped: (text) => follow('width', text) })}
          {field('height', words.fieldHeight, { unit: 'units', onTyped: (text) => follow('height', text) })}
        </View>
        <Toggle
          label={words.keepTheFormat}
          value={isLocked}
          onChange={(keeps) => {
            setLocked(keeps);
            const [width, height] = [readNumber(typed.width ?? ''), readNumber(typed.height ?? '')];
            if (width && height) setFormat(width / height);
          }}
        />
        <View className="flex-row items-end gap-3">
          {field('widthMm', words.widthOnSet, { unit: 'mm' })}
          <View className="flex-1 gap-1">
            <Words tone="soft">{words.roundTo}</Words>
            <Segmented
              label={words.roundTo}
              value={typed.rulerStep ?? ''}
              options={STEPS}
              onChange={(step) => setValue('rulerStep', step)}
            />
          </View>
        </View>
      </View>
      {failure && (
        <Words role="alert" tone="plum">
          {failure}
        </Words>
      )}
      <Button
        label={words.createShot}
        kind="brass"
        disabled={formState.isSubmitting}
        onPress={() => void create()}
      />
    </Dialog>
  );
}

interface FieldOptions {
  readonly unit?: string;
  readonly isNumber?: boolean;
  /** What else a typed text changes. */
  readonly onTyped?: (text: string) => void;
}

/** Steps of a ruler; others can be typed in the Sheet step. */
const STEPS = [
  { value: '', label: words.none },
  { value: '0.5', label: '0.5' },
  { value: '1', label: '1' },
] as const;

interface FilmChoiceProps {
  readonly films: readonly string[];
  readonly value: string;
  readonly onChoose: (film: string) => void;
}

/** Of many films the first ones are offered; any other can be typed. */
const MAX_FILMS = 4;

const FilmChoice = ({ films, value, onChoose }: FilmChoiceProps) => (
  <View role="group" aria-label={words.films} className="flex-row flex-wrap gap-2">
    {films.slice(0, MAX_FILMS).map((film) => (
      <Button
        key={film}
        label={film}
        pressed={film === value}
        onPress={() => onChoose(film === value ? '' : film)}
      />
    ))}
  </View>
);
