/** Title of the page of a shot that can't be shown. @param shot - null until it is known */
export function brokenShotTitle(shot: { readonly slate: string; readonly title: string } | null): string {
  return `${shot ? `${shot.slate} ${shot.title}`.trim() : 'This shot'} can’t be shown.`;
}

/** Why a shot can't be shown. @param message - of the error that its page met */
export function brokenShotText(problems: number, message: string): string {
  if (problems > 0) return 'Its stored plan is not sound. Nothing was changed.';
  return `Its stored plan is sound, but the page failed: ${message}. Nothing was changed.`;
}
