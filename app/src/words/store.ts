/** Everything that the interface says here. */
export const storeWords = {
  millimetresNeedAScaleSetIt: 'Millimetres need a scale: set it in the Arc step, under “Backdrop”.',
} as const;
