/** A text with its first letter a capital, as a sentence begins. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
