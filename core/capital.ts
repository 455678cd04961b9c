/** The text with its first letter capitalized. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
