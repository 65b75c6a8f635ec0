/** A name nobody else gives. A phone that reaches the bench over plain http has no `randomUUID`. */
export function newUid(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}
