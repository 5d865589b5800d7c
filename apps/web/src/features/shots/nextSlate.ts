/**
 * The slate a new shot starts with: the letter after the last shot's, in its scene; the first free one from there.
 *
 * @param slates - in shooting order
 * @example after 4A, 4B it is 4C; with none it is 1A
 */
export function nextSlate(slates: readonly string[]): string {
  const [, scene = '1', letter = '@'] = /^(.*?\d+)([A-Z])(-\d+)?$/.exec(slates[slates.length - 1] ?? '') ?? [];
  for (let code = letter.charCodeAt(0) + 1; code <= 90; code++) {
    const slate = scene + String.fromCharCode(code);
    if (!slates.includes(slate)) return slate;
  }
  for (let number = slates.length + 1; ; number++) if (!slates.includes(String(number))) return String(number);
}
