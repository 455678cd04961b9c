import type { Offer } from '../../core/offer/offer.js';
import { useJobContext } from '../shell/job-layout';
import { fileName } from '../files/save';
import { SaveButton } from '../controls/save-button';

const maker = () => import('./make');
const planner = async () => ({
  ...(await import('../../core/plan/plan.js')),
  ...(await import('../plan/plan-options')),
});

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
          const { planOf, planOptions } = await planner();
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
