import { MAX_SOUND_BYTES, MAX_SOUND_SECONDS, ShotError, type SOUND_TYPES } from '@humble/core';
import { parseBuffer } from 'music-metadata';

/** A sound as it is kept: the bytes as they came. */
export interface SeenSound {
  readonly type: (typeof SOUND_TYPES)[number];
  readonly seconds: number;
}

const refuse = (sentence: string): never => {
  throw new ShotError('invalid-sound', sentence);
};

const at = (bytes: Buffer, from: number, text: string): boolean =>
  bytes.toString('latin1', from, from + text.length) === text;

const isWave = (bytes: Buffer): boolean => at(bytes, 0, 'RIFF') && at(bytes, 8, 'WAVE');

/** Where an ID3v2 tag ends (its size has seven bits in each byte), or 0. */
function endOfTag(bytes: Buffer): number {
  if (!at(bytes, 0, 'ID3') || bytes.length < 10) return 0;
  return 10 + [6, 7, 8, 9].reduce((size, i) => size * 128 + (bytes[i]! & 0x7f), 0);
}

/** The eleven bits that begin a frame of MPEG audio, layer 3. */
function isMpeg(bytes: Buffer): boolean {
  const start = endOfTag(bytes);
  return bytes[start] === 0xff && (bytes[start + 1]! & 0xe6) === 0xe2;
}

/** Whether a WAV has all of the bytes that its own sizes promise. */
function isWhole(bytes: Buffer): boolean {
  let next = 12;
  while (next + 8 <= bytes.length) {
    const size = bytes.readUInt32LE(next + 4);
    if (at(bytes, next, 'data')) return next + 8 + size <= bytes.length;
    next += 8 + size + (size % 2);
  }
  return false;
}

/**
 * Looks at what a file really is, whatever it was said to be: a WAV or an MP3, whole, and not too long.
 * @throws ShotError `invalid-sound` with a sentence
 */
export async function seeSound(bytes: Buffer): Promise<SeenSound> {
  if (bytes.length > MAX_SOUND_BYTES)
    return refuse(`A sound may weigh ${Math.floor(MAX_SOUND_BYTES / 1e6)} MB.`);
  const wave = isWave(bytes);
  if (!wave && !isMpeg(bytes)) return refuse('This is no WAV or MP3.');
  if (wave && !isWhole(bytes)) return refuse('Part of this WAV is missing.');
  const type = wave ? 'audio/wav' : 'audio/mpeg';
  const { format } = await parseBuffer(bytes, type, { duration: true, skipCovers: true }).catch(() =>
    refuse('This sound is damaged: it cannot be read.'),
  );
  const { duration, container, numberOfChannels = 0, sampleRate = 0 } = format;
  if (container !== (wave ? 'WAVE' : 'MPEG')) return refuse('This is no WAV or MP3.');
  if (!duration || !(numberOfChannels > 0) || !(sampleRate > 0))
    return refuse('There is no sound in this file.');
  if (duration > MAX_SOUND_SECONDS) return refuse('This sound is longer than six hours.');
  return { type, seconds: duration };
}
