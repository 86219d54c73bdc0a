type CutStrip = (file: File, across: number, down: number) => Promise<readonly File[]>;

/** Cutting a picture takes a browser. */
export const cutStrip: CutStrip = () => Promise.resolve([]);
