/** YYYY-MM-DD, where the person is. */
export function today(): string {
  return new Date().toLocaleDateString('sv-SE');
}
