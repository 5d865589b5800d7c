import { useEffect } from 'react';

/** Fields into which text is typed, also those of lists that are searched by typing. */
const TYPED = 'input:not([type]), input[type=text], input[type=search], input[type=number], textarea';

/** Escape leaves the field that is typed into, after the field has reverted its draft. Keys of the page then work again. */
export function useEscapeLeavesFields(): void {
  useEffect(() => {
    const onKey = ({ key, target }: KeyboardEvent) => {
      if (key !== 'Escape' || !(target instanceof HTMLElement) || !target.matches(TYPED)) return;
      // the draft is reverted by the same event: without the delay, leaving would apply it
      setTimeout(() => target.blur());
    };
    document.addEventListener('keydown', onKey, { capture: true });
    return () => document.removeEventListener('keydown', onKey, { capture: true });
  }, []);
}
