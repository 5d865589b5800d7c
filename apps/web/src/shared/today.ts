/** Today's local date as YYYY-MM-DD. */
export function today(): string {
  return new Date().toLocaleDateString('sv-SE');
}
