import { createContext, useContext } from 'react';

export const PixelContext = createContext(1);

export const usePixel = (): number => useContext(PixelContext);
