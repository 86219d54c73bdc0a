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
  ofFrames: (lengthFrames: number) => ` of ${lengthFrames}`,
} as const;
