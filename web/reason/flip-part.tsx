import { methodName } from '../../core/methods/index.js';
import { Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Job } from '../../core/job/schema.js';
import { useBreakEvens } from '../view/view';
import { Press } from '../controls/controls';
import { Part } from './part';
import type { ScopeBar } from '../drawing/scope-bars';
import type { BreakEven, PriceGroup } from '../../core/explain/break-even.js';
import { Alarm, Note } from '../controls/text';

const groupWords: Record<PriceGroup, string> = {
  lining: 'Lining',
  digging: 'Excavation',
  surfaces: 'Restoration',
  pipe: 'New pipe',
  bursting: 'Pipe bursting',
  permits: 'Permits',
  cleaning: 'Cleaning',
  'setting up': 'Setting up',
};

/** What would change the choice here: how much dearer or cheaper until another method takes its place. */
export function FlipPart({ job, line, bar }: { job: Job; line: string; bar: ScopeBar }) {
  const [asked, setAsked] = useState(false);
  const found = useBreakEvens(job, line, (bar.from_ft + bar.to_ft) / 2, asked);
  return (
    <Part title="What would change it">
      {!asked && (
        <Press
          type="button"
          onClick={() => {
            setAsked(true);
          }}
        >
          Work it out
        </Press>
      )}
      {asked && found.isPending && <Note>Solving it again at other prices…</Note>}
      {found.error && <Alarm>{found.error.message}</Alarm>}
      {found.data?.length === 0 && (
        <Text>No price from a third of today’s to three times it would put another method here.</Text>
      )}
      {found.data?.map((each) => (
        <Text key={`${each.group} ${each.factor > 1}`}>
          {groupWords[each.group]} <strong>{share(each)}</strong>: {methodName(each.becomes)}
        </Text>
      ))}
    </Part>
  );
}

const share = ({ factor }: BreakEven): string =>
  factor > 1 ? `${Math.round((factor - 1) * 100)} % dearer` : `${Math.round((1 - factor) * 100)} % cheaper`;
