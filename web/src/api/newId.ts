/** An id that nobody else will use. */
export function newId(): string {
  const random = new Uint8Array(16);
  crypto.getRandomValues(random);
  return [...random].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
