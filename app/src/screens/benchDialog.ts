export type BenchDialog = 'menu' | 'preview' | 'print' | 'export' | 'settings' | 'help' | 'shortcuts' | null;
