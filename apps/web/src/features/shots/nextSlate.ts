/**
 * Slate of a new shot: the next free letter after the last shot, in the same scene.
 *
 * @param slates - in shooting order
 * @example 4C after 4A and 4B; 1A without shots
 */
export function nextSlate(slates: readonly string[]): string {
  const [, scene = '1', letter = '@'] = /^(.*?\d+)([A-Z])(-\d+)?$/.exec(slates[slates.length - 1] ?? '') ?? [];
  for (let code = letter.charCodeAt(0) + 1; code <= 90; code++) {
    const slate = scene + String.fromCharCode(code);
    if (!slates.includes(slate)) return slate;
  }
  for (let number = slates.length + 1; ; number++) if (!slates.includes(String(number))) return String(number);
}
