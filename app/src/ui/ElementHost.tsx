interface ElementHostProps {
  readonly element: HTMLElement;
  /** Pixels, from the corner of what is round it. */
  readonly at: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly opacity?: number;
  readonly testID?: string;
}

/** Outside the web there is no page yet; the web target has `ElementHost.web.tsx`. */
export const ElementHost = (_props: ElementHostProps) => null;
