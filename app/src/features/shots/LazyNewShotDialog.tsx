import { laterPart } from '../../ui/laterPart';

/** Forms are for the second step: the first screen does not wait for them. */
export const LazyNewShotDialog = laterPart(() =>
  import('./NewShotDialog').then((module) => module.NewShotDialog),
);
