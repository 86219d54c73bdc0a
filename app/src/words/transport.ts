/** Everything that the interface says here. */
export const transportWords = {
  frame: 'Frame',
  loopOn: 'Loop: on',
  loopOff: 'Loop: off',
  firstFrame: 'First frame',
  oneFrameBack: 'One frame back',
  oneFrameOn: 'One frame on',
  lastFrame: 'Last frame',
  pause: 'Pause',
  play: 'Play',
  typeAFrame: (frame: number) => `Frame ${frame}: type another`,
  goToFrame: 'Go to frame',
  thatIsNoFrame: (text: string) => `“${text}” is no frame. Type one like 45, +12 or 1.5 s.`,
  ofFrames: (lengthFrames: number) => ` of ${lengthFrames}`,
} as const;
