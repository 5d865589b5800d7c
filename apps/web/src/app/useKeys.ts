import { useHotkeys } from 'react-hotkeys-hook';

type Options = Exclude<Parameters<typeof useHotkeys>[2], readonly unknown[] | undefined>;

/** Keys of a screen: they work wherever the focus is, but for fields that are typed in. Handles and choices are not such fields. */
export function useKeys(keys: string, act: (event: KeyboardEvent) => void, options: Options = {}): void {
  useHotkeys(keys, act, { enableOnFormTags: ['slider', 'radio'], ...options });
}
