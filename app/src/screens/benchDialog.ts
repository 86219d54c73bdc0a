/** The dialog that is open over the workbench. */
export type BenchDialog = 'menu' | 'export' | 'settings' | 'help' | 'shortcuts' | null;
