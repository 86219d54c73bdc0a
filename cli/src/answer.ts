/** What a command has to say, and how it ends. */
export interface Answer {
  /** Goes to standard output, or to the file that was named. */
  readonly text: string | Uint8Array;
  /** Goes to standard error, for whoever looks on. */
  readonly note?: string;
  /** The exit code: 0, or 2 where something was found. */
  readonly code: number;
}

/** What was said behind a command, besides its file. */
export interface Values {
  readonly move?: string;
  readonly out?: string;
  readonly name?: string;
  readonly width?: string;
  readonly from?: string;
  readonly until?: string;
  readonly ground?: string;
  readonly 'no-backdrop'?: boolean;
  readonly pictures?: string;
  readonly sounds?: string;
  readonly every?: string;
  readonly ticks?: boolean;
  readonly shutter?: string;
  readonly print?: string;
  readonly paper?: string;
  readonly across?: boolean;
  readonly 'max-speed'?: string;
  readonly 'max-acceleration'?: string;
}
