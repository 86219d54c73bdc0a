/** The dialog that is open over the workbench. */
export type BenchDialog = 'menu' | 'preview' | 'print' | 'export' | 'settings' | 'help' | 'shortcuts' | null;
