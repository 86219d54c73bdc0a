import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { NumberField } from './NumberField';
import { afterKey, NumberPad } from './NumberPad';
import { PadHost } from './padEntry';

const at = (text: string, isFresh = false) => ({ text, isFresh, units: ['mm', '%'] });

test('keys write a number: the first takes the place of what stood there, an operator goes on from it', () => {
  expect(afterKey(at('9', true), '1')).toBe('1');
  expect(afterKey(at('1'), '2')).toBe('12');
  expect(afterKey(at('9', true), '+')).toBe('9+');
  expect(afterKey(at('12'), 'back')).toBe('1');
  expect(afterKey(at('12', true), 'back')).toBe('');
  expect(afterKey(at('12'), 'sign')).toBe('−12');
  expect(afterKey(at('−12'), 'sign')).toBe('12');
  expect(afterKey(at('40 %'), '5')).toBe('405 %');
});

test('a unit behind a number stays behind what is typed; × without a space is arithmetic', () => {
  const long = { text: '1.5 ×', isFresh: false, units: ['frames', 's', '×', '%'] };
  expect(afterKey(long, '2')).toBe('1.52 ×');
  expect(afterKey(long, 'back')).toBe('1. ×');
  expect(afterKey({ ...long, text: '1.5' }, '×')).toBe('1.5×');
  expect(afterKey({ ...long, text: '1.5×' }, '2')).toBe('1.5×2');
  // After a change of units the number is fresh: the first digit takes its place, the unit stays.
  expect(afterKey({ ...long, text: '1 ×', isFresh: true }, '2')).toBe('2 ×');
});

function Bench({ onChange }: { readonly onChange: (value: number) => void }) {
  const [value, setValue] = useState(9);
  return (
    <PadHost value>
      <NumberField
        label="Leaves"
        unit="frames"
        value={value}
        min={0}
        max={100}
        onChange={(next) => {
          setValue(next);
          onChange(next);
        }}
      />
      <NumberPad />
    </PadHost>
  );
}

const show = (isCoarse: boolean) => {
  Object.assign(globalThis, { matchMedia: () => ({ matches: isCoarse }) });
  const onChange = jest.fn();
  render(<Bench onChange={onChange} />);
  fireEvent(screen.getByLabelText('Leaves, frames'), 'focus');
  return onChange;
};

test('by touch a number opens the pad, live in the field; what is cancelled is what it was', () => {
  const onChange = show(true);
  expect(screen.getByTestId('number-pad')).toBeTruthy();
  expect(screen.getByText('frames · was 9')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('1'));
  fireEvent.press(screen.getByLabelText('2'));
  expect(onChange).toHaveBeenLastCalledWith(12);
  fireEvent.press(screen.getByLabelText('Plus'));
  fireEvent.press(screen.getByLabelText('3'));
  expect(onChange).toHaveBeenLastCalledWith(15);
  fireEvent.press(screen.getByLabelText('Cancel'));
  expect(onChange).toHaveBeenLastCalledWith(9);
  fireEvent(screen.getByLabelText('Leaves, frames'), 'blur');
  expect(screen.queryByTestId('number-pad')).toBeNull();
});

test('with a mouse numbers are typed as before', () => {
  show(false);
  expect(screen.queryByTestId('number-pad')).toBeNull();
});
