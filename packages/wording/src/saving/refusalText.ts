/** For a form that is still filled in after a refusal. */
export const KEPT_INPUT = 'Your input is still here.';

/**
 * A refused request.
 *
 * @param what - what did not happen: "Take 3 was not changed"
 * @param then - what became of the input
 */
export function refusalText(what: string, { message }: { readonly message: string }, then = ''): string {
  return `${what}: ${message}.${then && ` ${then}`}`;
}
