import { createElement } from 'react';

interface CanvasProps {
  /** Pixels of the picture; it fills what is round it. */
  readonly width: number;
  readonly height: number;
  readonly label: string;
  /** Told when it is there, and with null when it goes. */
  readonly onReady: (canvas: HTMLCanvasElement | null) => void;
}

const FILLS = { width: '100%', height: '100%', display: 'block' } as const;

export const Canvas = ({ width, height, label, onReady }: CanvasProps) =>
  createElement('canvas', {
    width,
    height,
    role: 'img',
    'aria-label': label,
    'data-testid': 'preview-canvas',
    ref: onReady,
    style: FILLS,
  });
