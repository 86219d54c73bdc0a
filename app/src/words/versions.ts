export const versionWords = {
  isBack: (name: string) => `“${name}” is back.`,
  shotsAreBack: (count: number) => `${count} shots are back.`,
  myVersion: ' (my version)',
  savedAs: (name: string) => `Saved as “${name}”.`,
  otherVersion: ' (other version)',
  otherVersionKept: (name: string) => `The other version is kept as “${name}”.`,
} as const;
