import type { ComponentType } from 'react';
import type { FieldLayers } from '../../render/fieldLayer';
import type { AppStore } from '../../store/store';

export interface PanelProps {
  /** On a phone the views of the timing belong to the panel; a wide screen has them in its desk. */
  readonly isPhone: boolean;
  readonly onExport: () => void;
}

/** @returns whether a key is one of the step's, and did something */
export type KeyCommand = (event: KeyboardEvent) => boolean;

/** What of a step is made of features: its panel and its keys. The rest stands in `kinds/steps`. */
export interface StepParts {
  readonly Panel: ComponentType<PanelProps>;
  readonly keys?: (store: AppStore) => KeyCommand;
  readonly layers?: FieldLayers;
}
