/** Words as a list in a sentence: "a", "a and b", "a, b and c". */
export const joined = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
