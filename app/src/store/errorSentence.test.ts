import { ShotError } from '@humble/core';
import { Refusal } from '../ui/refusal';
import { errorSentence } from './errorSentence';

test('a refusal says its own sentence; a fault is logged and its message is not shown', () => {
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(errorSentence(new ShotError('out-of-range', 'Frame 9 has a mark already.'))).toBe(
    'Frame 9 has a mark already.',
  );
  expect(errorSentence(new Refusal('“a.png” cannot be drawn.'))).toBe('“a.png” cannot be drawn.');
  expect(logged).not.toHaveBeenCalled();
  const fault = new TypeError("Cannot read properties of undefined (reading 'x')");
  expect(errorSentence(fault)).not.toContain('undefined');
  expect(logged).toHaveBeenCalledWith(fault);
  logged.mockRestore();
});
