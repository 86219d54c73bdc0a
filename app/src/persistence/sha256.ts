const hexOf = (bytes: Uint8Array): string =>
  [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/**
 * The SHA-256 of some bytes in hexadecimal digits. On an address that is not secure, such as that of a computer on the
 * local network, a browser has no digests of its own.
 */
export async function sha256Of(bytes: Uint8Array): Promise<string> {
  const own = globalThis.crypto?.subtle as SubtleCrypto | undefined;
  if (own) return hexOf(new Uint8Array(await own.digest('SHA-256', bytes as BufferSource)));
  const { sha256 } = await import('@noble/hashes/sha256');
  return hexOf(sha256(bytes));
}
