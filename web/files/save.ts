/** Saves a file through the browser's download. */
export function save(file: Blob, name: string): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A title as a file name, without extension. */
export const fileName = (title: string): string => title.toLowerCase().replace(/[^a-z0-9]+/g, '-');
