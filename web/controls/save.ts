/** Hands a file to the browser to be kept where its user wants it. */
export function save(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A title as the name of a file, without its ending. */
export const fileName = (title: string): string => title.toLowerCase().replace(/[^a-z0-9]+/g, '-');
