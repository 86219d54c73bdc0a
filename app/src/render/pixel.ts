import { createContext, useContext } from 'react';

/** Size of one pixel of the view, field units. */
export const PixelContext = createContext(1);

export const usePixel = (): number => useContext(PixelContext);
