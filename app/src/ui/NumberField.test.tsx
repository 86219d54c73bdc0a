import { fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { NumberField } from './NumberField';

type Change = [value: number, gesture: string | undefined];

/** A field on its own, and what it told. */
function show(props: Partial<Parameters<typeof NumberField>[0]> = {}): Change[] {
  const changes: Change[] = [];
  function Host() {
    const [value, setValue] = useState(10);
    return (
      <NumberField
        label="Leave slowly over"
        unit="frames"
        min={0}
        max={20}
        value={value}
        onChange={(next, undoGroup) => {
          changes.push([next, undoGroup]);
          setValue(next);
        }}
        {...props}
      />
    );
  }
  render(<Host />);
  return changes;
}

const field = () => screen.getByLabelText('Leave slowly over, frames');
const values = (changes: Change[]): number[] => changes.map(([value]) => value);

test('steps by its buttons, each a step of its own', () => {
  const changes = show();
  fireEvent.press(screen.getByLabelText('More: Leave slowly over'));
  fireEvent.press(screen.getByLabelText('More: Leave slowly over'));
  fireEvent.press(screen.getByLabelText('Less: Leave slowly over'));
  expect(changes).toEqual([
    [11, undefined],
    [12, undefined],
    [11, undefined],
  ]);
});

test('stops at its ends', () => {
  const changes = show({ max: 10, min: 10 });
  fireEvent.press(screen.getByLabelText('More: Leave slowly over'));
  fireEvent.press(screen.getByLabelText('Less: Leave slowly over'));
  expect(changes).toEqual([]);
});

test('follows what is typed letter by letter, as one gesture', () => {
  const changes = show();
  fireEvent.changeText(field(), '1');
  fireEvent.changeText(field(), '15');
  fireEvent(field(), 'blur');
  expect(values(changes)).toEqual([1, 15]);
  expect(new Set(changes.map(([, undoGroup]) => undoGroup)).size).toBe(1);
  expect(changes[0]![1]).toMatch(/^typing-/);
});

test('what is no number in the end goes back to where it was', () => {
  const changes = show();
  fireEvent.changeText(field(), '1');
  fireEvent.changeText(field(), '1x');
  expect(field().props.value).toBe('1x');
  fireEvent(field(), 'blur');
  expect(values(changes)).toEqual([1, 10]);
  expect(field().props.value).toBe('10');
});

test('what is too much waits while it is typed and becomes the most there is', () => {
  const changes = show();
  fireEvent.changeText(field(), '150');
  expect(changes).toEqual([]);
  fireEvent(field(), 'submitEditing');
  expect(values(changes)).toEqual([20]);
});

test('a comma is a point, and decimals are those it has', () => {
  const changes = show({ decimals: 1 });
  fireEvent.changeText(field(), '2,5');
  fireEvent(field(), 'blur');
  expect(values(changes)).toEqual([2.5]);
});

test('says nothing when nothing changes, and nothing at all while it is disabled', () => {
  const changes = show();
  fireEvent.changeText(field(), '10');
  fireEvent(field(), 'blur');
  expect(changes).toEqual([]);
  screen.unmount();
  const silent = show({ disabled: true });
  fireEvent.press(screen.getByLabelText('More: Leave slowly over'));
  expect(silent).toEqual([]);
});
