export interface ChartProps {
  readonly label: string;
  /** One for each value; of many only some are written. */
  readonly labels: readonly string[];
  readonly values: readonly number[];
  readonly decimals: number;
  /** Pixels. */
  readonly height: number;
  /** Whether its axis begins at 0, whatever its values. */
  readonly fromZero?: boolean;
  /** Upright lines, at shares of its width. */
  readonly borders?: readonly number[];
  /** The value that is looked at, and what a tap on another one does; by its place among the values. */
  readonly at?: number;
  readonly onPick?: (index: number) => void;
  /** It shows what really was, not what is planned: persimmon and dashed. */
  readonly isActual?: boolean;
  readonly testID?: string;
}
