/** Sounds made from nothing, for tests and for the demo film. */

const HEADER_BYTES = 44;

/**
 * A WAV file: one channel, 16 bits.
 * @param rate samples a second
 * @param sampleAt −1 to 1, by the seconds since its start
 */
export function waveFile(seconds: number, rate: number, sampleAt: (seconds: number) => number): Uint8Array {
  const count = Math.round(seconds * rate);
  const bytes = new Uint8Array(HEADER_BYTES + 2 * count);
  const view = new DataView(bytes.buffer);
  const text = (at: number, letters: string): void =>
    [...letters].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)));
  text(0, 'RIFF');
  view.setUint32(4, bytes.length - 8, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, 2 * rate, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, 2 * count, true);
  for (let i = 0; i < count; i++) {
    const sample = Math.max(-1, Math.min(1, sampleAt(i / rate)));
    view.setInt16(HEADER_BYTES + 2 * i, Math.round(sample * 32_767), true);
  }
  return bytes;
}

export const knocks =
  (moments: readonly { readonly seconds: number; readonly loud: number }[]) =>
  (seconds: number): number =>
    moments.reduce((sum, { seconds: at, loud }) => {
      const since = seconds - at;
      return since < 0 || since > 0.3
        ? sum
        : sum + loud * Math.exp(-since * 28) * Math.sin(2 * Math.PI * 180 * since);
    }, 0);

const FRAME_BYTES = 417;
const FRAME_SECONDS = 1152 / 44_100;

/** An MP3 file of silence: frames of MPEG 1, layer 3, 128 kbit/s, 44.1 kHz, one channel. */
export function silentMp3(seconds: number): Uint8Array {
  const frames = Math.ceil(seconds / FRAME_SECONDS);
  const bytes = new Uint8Array(frames * FRAME_BYTES);
  for (let i = 0; i < frames; i++) bytes.set([0xff, 0xfb, 0x90, 0xc4], i * FRAME_BYTES);
  return bytes;
}
