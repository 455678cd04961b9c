import { useRef, type ReactElement } from 'react';

interface FileField {
  /** Of the field itself, which is hidden: a press asks for the file. */
  readonly 'aria-label'?: string;
  readonly 'data-testid'?: string;
  readonly accept: string;
  readonly onFile: (file: File) => unknown;
}

/**
 * A file of this device, asked for by a press of the page's own.
 * @returns the hidden field, to stand anywhere, and what the press calls.
 */
export function useFile({ onFile, ...field }: FileField): { field: ReactElement; ask: () => void } {
  const picker = useRef<HTMLInputElement>(null);
  return {
    field: (
      <input
        {...field}
        ref={picker}
        type="file"
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          // The same file again is asked for again.
          event.target.value = '';
        }}
      />
    ),
    ask: () => picker.current?.click(),
  };
}
