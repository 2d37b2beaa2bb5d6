/** The secret behind the «#» of the address one came by; as it stands there where it was broken on its way. */
export function secretOf(hash: string): string {
  const behind = hash.replace(/^#/, '');
  try {
    return decodeURIComponent(behind);
  } catch {
    return behind;
  }
}
