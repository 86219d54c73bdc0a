let context: AudioContext | null = null;

const SECONDS = 0.03;

/** A quiet click: a burst of noise that dies away at once. Nothing where the browser has no sound. */
export function click(): void {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  const length = Math.ceil(SECONDS * context.sampleRate);
  const buffer = context.createBuffer(1, length, context.sampleRate);
  const samples = buffer.getChannelData(0);
  for (let i = 0; i < length; i++) samples[i] = 0.2 * (Math.random() * 2 - 1) * (1 - i / length) ** 4;
  const source = Object.assign(context.createBufferSource(), { buffer });
  source.connect(context.destination);
  source.start();
}
