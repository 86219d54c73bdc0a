interface CanvasProps {
  readonly width: number;
  readonly height: number;
  readonly label: string;
  readonly onReady: (canvas: HTMLCanvasElement | null) => void;
}

/** Outside the web there is no canvas yet; the web target has `Canvas.web.tsx`. */
export const Canvas = (_props: CanvasProps) => null;
