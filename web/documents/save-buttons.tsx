import { Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import type { Offer } from '../../core/offer/offer.js';
import { planOf } from '../../core/plan/plan.js';
import { asError } from '../api/client';
import { Press } from '../controls/controls';
import { useJobContext } from '../shell/job-layout';
import { planOptions } from '../plan/plan-options';
import { fileName, save } from '../controls/save';

/** Makes a document and hands it over; what makes it is fetched when it is first asked for. */
function SaveButton({
  name,
  make,
  children,
}: {
  name: string;
  /** Nothing where what would be written is not worked out yet. */
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
      {failed && (
        <Text role="alert" color="signalInk">
          It could not be written: {failed}
        </Text>
      )}
    </>
  );
}

const maker = () => import('./make');

export function SaveOffer({ offer }: { offer: Offer }) {
  return (
    <SaveButton
      name={`${fileName(offer.title)}-offer.pdf`}
      make={async () => (await maker()).offerPdf({ offer })}
    >
      Offer as PDF
    </SaveButton>
  );
}

export function SaveCrewSheet() {
  const { job, firm, view, caughtUp } = useJobContext();
  return (
    <SaveButton
      name={`${fileName(job.title)}-crew.pdf`}
      make={
        caughtUp &&
        view &&
        (async () => {
          const planned = planOf(planOptions(job, firm, view.scope));
          return (await maker()).crewPdf({
            job,
            firm,
            view,
            plan: 'plan' in planned ? planned.plan : undefined,
          });
        })
      }
    >
      Crew sheet as PDF
    </SaveButton>
  );
}

export function SaveReport() {
  const { job, firm, view, caughtUp } = useJobContext();
  return (
    <SaveButton
      name={`${fileName(job.title)}-report.pdf`}
      make={
        caughtUp &&
        view &&
        (async () =>
          (await maker()).reportPdf({ job, firm, view, proof: view.lines.flatMap((line) => line.proof) }))
      }
    >
      Inspection report as PDF
    </SaveButton>
  );
}
