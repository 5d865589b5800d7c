import { useHotkeys } from 'react-hotkeys-hook';

type Options = Exclude<Parameters<typeof useHotkeys>[2], readonly unknown[] | undefined>;

/** Registers keys of a page. They work everywhere except in text fields; handles and choices are not text fields. */
export function useKeys(keys: string, act: (event: KeyboardEvent) => void, options: Options = {}): void {
  useHotkeys(keys, act, { enableOnFormTags: ['slider', 'radio'], ...options });
}
