/** Moves the cursor to the first field with an invalid text. @returns whether there is one */
export function focusInvalid(container: HTMLElement): boolean {
  const field = container.querySelector<HTMLElement>('[aria-invalid="true"]');
  field?.focus();
  return field !== null;
}
