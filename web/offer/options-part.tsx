import { chakra, Text } from '@chakra-ui/react';
import { capital } from '../../core/capital.js';
import { jobHead, lineHead } from '../../core/edits/index.js';
import type { FindingEntry, Job } from '../../core/job/schema.js';
import { sayWhat } from '../../core/speech/say.js';
import type { OfferApproach } from '../../core/offer/offer.js';
import { Press } from '../controls/controls';
import { money } from '../controls/format';
import { useJobContext } from '../shell/job-layout';
import { withoutEmpty } from '../controls/without-empty';
import { Part } from '../reason/part';

/** Watched places that are cheap to cure now, each with its added cost; a choice can be reversed. */
export function OptionsPart({ approach, currency }: { approach: OfferApproach; currency: string }) {
  const { job, change } = useJobContext();
  const taken = takenOf(job);
  const cure = (lineId: string, ids: (old: readonly string[]) => string[]) => {
    const line = job.lines.find(({ id }) => id === lineId);
    if (!line) return;
    const alsoCure = ids(line.alsoCure ?? []);
    void change.say([{ kind: 'line', line: line.id, set: withoutEmpty({ ...lineHead(line), alsoCure }) }]);
  };
  const addCleanouts = () => {
    const head = jobHead(job);
    const rules = { ...head.rules, addCleanout: 'every-job' as const };
    void change.say([{ kind: 'job', set: withoutEmpty({ ...head, rules }) }]);
  };
  if (approach.options.length + taken.length === 0) return null;
  return (
    <Part title="While we are here">
      {taken.map(({ line, id, entry }) => (
        <Row key={`${line.id} ${id}`}>
          <Text>
            <strong>Taken:</strong> {entry ? sayWhat(entry) : 'a finding no longer in the log'}
          </Text>
          <Press
            type="button"
            look="quiet"
            onClick={() => {
              cure(line.id, (old) => old.filter((each) => each !== id));
            }}
          >
            Leave it out
          </Press>
        </Row>
      ))}
      {approach.options.map((option) => (
        <Row key={`${option.line} ${option.what}`}>
          <Text>
            {capital(option.what)} <strong>+{money(option.adds, currency)}</strong>
          </Text>
          <Press
            type="button"
            px="3"
            flexShrink={0}
            onClick={() => {
              const { finding } = option;
              if (finding === null) addCleanouts();
              else cure(option.line, (old) => [...old, finding]);
            }}
          >
            Take it
          </Press>
        </Row>
      ))}
    </Part>
  );
}

const Row = chakra('div', {
  base: { display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: '3' },
});

/** Choices made before, on every line. */
const takenOf = (job: Job) =>
  job.lines.flatMap((line) =>
    (line.alsoCure ?? []).map((id) => ({
      line,
      id,
      entry: line.runs
        .flatMap((run) => run.entries)
        .find((entry): entry is FindingEntry => entry.id === id && entry.kind === 'finding'),
    })),
  );
