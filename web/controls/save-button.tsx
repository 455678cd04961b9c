import { useState, type ReactNode } from 'react';
import { asError } from '../api/client';
import { Press } from './controls';
import { save } from '../files/save';
import { Alarm } from './text';

/** Makes a file and saves it; the code that makes it is loaded on first use. */
export function SaveButton({
  name,
  make,
  children,
}: {
  name: string;
  /** Absent while the content is not computed yet. */
  make: (() => Promise<Blob>) | false | undefined;
  children: ReactNode;
}) {
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string>();
  return (
    <>
      <Press
        type="button"
        disabled={busy || !make}
        aria-busy={busy}
        onClick={() => {
          if (!make) return;
          setBusy(true);
          setFailed(undefined);
          make()
            .then((file) => {
              save(file, name);
            })
            .catch((error: unknown) => {
              setFailed(asError(error).message);
            })
            .finally(() => {
              setBusy(false);
            });
        }}
      >
        {busy ? 'Writing it…' : children}
      </Press>
      {failed && <Alarm role="alert">It could not be written: {failed}</Alarm>}
    </>
  );
}
