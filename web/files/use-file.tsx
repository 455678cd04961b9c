import { useRef, type ReactElement } from 'react';

interface FileField {
  /** Props of the hidden file field. */
  readonly 'aria-label'?: string;
  readonly 'data-testid'?: string;
  readonly accept: string;
  readonly onFile: (file: File) => unknown;
}

/**
 * Lets a button of the page choose a file of this device. @returns the hidden field, to be placed anywhere, and what
 * the button calls.
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
          // Choosing the same file again counts as a new choice.
          event.target.value = '';
        }}
      />
    ),
    ask: () => picker.current?.click(),
  };
}
