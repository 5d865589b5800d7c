/** Choices of a field from a table of words, in its order. */
export function choicesOf<T extends string>(words: Readonly<Record<T, string>>): readonly { value: T; word: string }[] {
  return (Object.entries(words) as [T, string][]).map(([value, word]) => ({ value, word }));
}
