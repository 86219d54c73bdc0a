import { sha256Of } from './sha256';

const ABC = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';

test('the checksum is the same where the browser has digests and where it has none', async () => {
  const bytes = new TextEncoder().encode('abc');
  const before = globalThis.crypto;
  try {
    Object.defineProperty(globalThis, 'crypto', { value: {}, configurable: true });
    expect(await sha256Of(bytes)).toBe(ABC);
    const digest = jest.fn(() => Promise.resolve(Uint8Array.from(Buffer.from(ABC, 'hex')).buffer));
    Object.defineProperty(globalThis, 'crypto', { value: { subtle: { digest } }, configurable: true });
    expect(await sha256Of(bytes)).toBe(ABC);
    expect(digest).toHaveBeenCalledTimes(1);
  } finally {
    Object.defineProperty(globalThis, 'crypto', { value: before, configurable: true });
  }
});
