type CutStrip = (file: File, across: number, down: number) => Promise<readonly File[]>;

export const cutStrip: CutStrip = () => Promise.resolve([]);
