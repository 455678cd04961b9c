import { methodName } from '../../core/methods/index.js';
import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { repairState, type Done, type RepairCheck } from '../../core/compare/repair.js';
import type { Compared } from '../../core/compare/inspections.js';
import { addMonths } from '../../core/days.js';
import { gradeWords } from '../../core/job/vocabulary.js';
import type { Moment } from '../../core/upkeep/timeline.js';
import { useAfter } from '../api/offer';
import { worker } from '../view/worker';
import { sayDay } from '../../core/days.js';
import { feet } from '../controls/format';
import { SidePanel, Split } from '../shell/side-panel';
import { useJobContext } from '../shell/job-layout';
import { fileName } from '../files/save';
import { SaveButton } from '../controls/save-button';
import { today } from '../controls/today';
import { Faults } from '../shell/faults';
import { WorkingOut } from '../shell/working-out';
import { RowsTable } from './rows-table';
import { Alarm, Note, Title } from '../controls/text';

const calendarMonths = 36;

const doneWords: Record<Done, string> = {
  done: 'Done',
  'not-done': 'Not done',
  'not-seen': 'Not seen yet',
};
const comparedWords: Record<Compared['is'], string> = {
  new: 'New',
  same: 'Same',
  worse: 'Worse',
  better: 'Better',
  gone: 'Gone',
  'not-seen-again': 'Not seen again',
};

/**
 * Follow-up: the repair compared with what was agreed, an older inspection with the new one, and what is due next.
 */
export function AfterView() {
  const { job, firm } = useJobContext();
  const { data: after, error } = useAfter(job, firm);
  if (error) return <Faults error={error} />;
  if (!after) return <WorkingOut />;
  const several = job.lines.length > 1;
  return (
    <Split>
      <Box
        flex="1"
        minWidth={0}
        flexShrink={0}
        overflowY={{ lg: 'auto' }}
        px={{ base: '4', md: '5' }}
        py="4"
        tabIndex={0}
        role="region"
        aria-label="After the work"
      >
        <Title size="view" as="h1">
          The repair against {job.accepted ? 'what was accepted' : 'the scope as it stands'}
        </Title>
        <RepairState state={repairState(after.repairs)} />
        {after.repairs.map((check) => (
          <Repair key={check.line} check={check} several={several} />
        ))}
        <Inspections looks={after.looks} several={several} />
      </Box>
      <Dates after={after} several={several} />
    </Split>
  );
}

type After = NonNullable<ReturnType<typeof useAfter>['data']>;

function RepairState({ state }: { state: ReturnType<typeof repairState> }) {
  if (state === 'whole')
    return (
      <Text mt="1" fontWeight={700} data-testid="repair-state">
        Repaired as planned: all of it done, ends within ±, nothing left to fix.
      </Text>
    );
  if (state === 'part')
    return (
      <Alarm strong mt="1" data-testid="repair-state">
        Not everything was done as planned.
      </Alarm>
    );
  return null;
}

function Inspections({ looks, several }: { looks: After['looks']; several: boolean }) {
  const compared = looks.filter(({ things }) => things.length > 0);
  return (
    <>
      <Heading as="h2" fontSize="21px" mt="6">
        Older inspection compared with the new one
      </Heading>
      {compared.length === 0 && (
        <Text mt="1">
          There is no older inspection of this {several ? 'job' : 'line'}. Enter one as a run of the stage
          “earlier” in the camera log.
        </Text>
      )}
      {compared.map(({ line, name, things }) => (
        <Box key={line} mt="2">
          {several && (
            <Heading as="h3" fontSize="16px">
              {name}
            </Heading>
          )}
          <LooksTable things={things} />
        </Box>
      ))}
    </>
  );
}

/** The job's history and next dates, also as a calendar file. */
function Dates({ after, several }: { after: After; several: boolean }) {
  const { id, job, firm } = useJobContext();
  const calendar = async () => {
    const [{ calendarText }, dues] = await Promise.all([
      import('./calendar'),
      worker.upkeepOf(job, firm, addMonths(today(), calendarMonths)),
    ]);
    const text = calendarText({ id, title: job.title, address: job.site?.address }, dues, several);
    return new Blob([text], { type: 'text/calendar' });
  };
  return (
    <SidePanel aria-label="Dates of this job" py="4">
      <Heading as="h2" fontSize="19px" mb="2">
        Its days
      </Heading>
      {after.timeline.length === 0 && <Text>No run of this job has a date yet.</Text>}
      <Box as="ol" listStyleType="none" p="0" m="0">
        {after.timeline.map((moment) => (
          <TimelineRow key={`${moment.on} ${moment.what}`} moment={moment} />
        ))}
      </Box>
      {after.dues.map((due) => (
        <Note size="fine" key={`${due.line} ${due.what}`} mt="2">
          {several ? `${due.lineName}: ` : ''}
          {due.why}.
        </Note>
      ))}
      <Box mt="3">
        <SaveButton name={`${fileName(job.title)}-upkeep.ics`} make={after.dues.length > 0 && calendar}>
          Upkeep as a calendar file
        </SaveButton>
      </Box>
      <Note size="fine" mt="2">
        Intervals are house rules, under Rates and rules. After a strong earthquake, give its day there: every
        line is due at once.
      </Note>
    </SidePanel>
  );
}

function Repair({ check, several }: { check: RepairCheck; several: boolean }) {
  const { actions, cleaned, elsewhere, looked } = check;
  return (
    <Box mt="3" data-testid={`repair-${check.line}`}>
      {several && <Title size="thing">{check.lineName}</Title>}
      {!looked && (
        <Text borderLeft="5px solid" borderColor="signal" pl="3" my="2">
          There is no post-repair inspection yet. Start a run of the stage “after the repair” in the camera
          log; call where new pipe and liners begin and end, such as <em>30.2 clay &gt; clay lined</em>.
        </Text>
      )}
      {actions.length + cleaned.length + check.cleanouts.length === 0 && (
        <Text>No work was planned on this line.</Text>
      )}
      {actions.length > 0 && <ActionsTable check={check} />}
      {cleaned.map((stretch) => (
        <CheckRow key={stretch.from_ft}>
          <Text>
            <strong>Clean</strong> {feet(stretch.from_ft)} to {feet(stretch.to_ft)}
          </Text>
          <DoneMark done={stretch.done} />
          <LeftList left={stretch.left} />
        </CheckRow>
      ))}
      {check.cleanouts.map(({ station_ft, found_ft }) => (
        <CheckRow key={station_ft}>
          <Text>
            <strong>New cleanout</strong> at {feet(station_ft)}
          </Text>
          <Text fontWeight={700} color={found_ft === undefined ? 'signalInk' : 'ink'}>
            {found_ft === undefined ? 'nobody called it' : `found at ${feet(found_ft)}`}
          </Text>
        </CheckRow>
      ))}
      {elsewhere.length > 0 && (
        <Alarm strong mt="2">
          Elsewhere: {elsewhere.map(({ what, at_ft }) => `${what} at ${feet(at_ft)} ft`).join('; ')}
        </Alarm>
      )}
    </Box>
  );
}

const CheckRow = ({ children }: { children: ReactNode }) => (
  <Flex gap="3" py="2" wrap="wrap" borderTop="1px solid" borderColor="rule">
    {children}
  </Flex>
);

const ActionsTable = ({ check: { lineName, actions } }: { check: RepairCheck }) => (
  <RowsTable
    label={`Planned work on ${lineName}`}
    head={['To be done', 'Found', 'Its ends, ft', 'Left in it']}
    rows={actions.map((action) => ({
      key: action.id,
      cells: [
        <>
          <strong>{methodName(action.method)}</strong> {feet(action.from_ft)} to {feet(action.to_ft)}
        </>,
        <DoneMark key="done" done={action.done} why={action.why} />,
        <>
          {action.ends.map(({ end, planned_ft, found_ft, plusMinus_ft, within }) => (
            <Text
              key={end}
              color={within === false ? 'signalInk' : undefined}
              fontWeight={within === false ? 700 : 400}
            >
              {found_ft === undefined
                ? `${feet(planned_ft)}: not found`
                : `${feet(found_ft)}, planned at ${feet(planned_ft)} ±${feet(plusMinus_ft)}${within ? '' : ': off'}`}
            </Text>
          ))}
        </>,
        <LeftList key="left" left={action.left} />,
      ],
    }))}
  />
);

function DoneMark({ done, why }: { done: Done; why?: string }) {
  return (
    <Box>
      <Text fontWeight={700} color={done === 'done' ? 'ink' : 'signalInk'}>
        {doneWords[done]}
      </Text>
      {why && <Note size="fine">{why}</Note>}
    </Box>
  );
}

const LeftList = ({ left }: { left: RepairCheck['elsewhere'] }) =>
  left.length === 0 ? (
    <Note>nothing to fix</Note>
  ) : (
    <Alarm strong>
      {left.map(({ what, at_ft, grade }) => `${what} at ${feet(at_ft)} ft (${gradeWords[grade]})`).join('; ')}
    </Alarm>
  );

function LooksTable({ things }: { things: readonly Compared[] }) {
  return (
    <RowsTable
      label="Two inspections compared"
      head={['Now it is', 'What', 'Then, ft', 'Now, ft', 'Why']}
      rows={things.map((each) => ({
        key: `${each.then?.id ?? ''} ${each.now?.id ?? ''}`,
        cells: [
          <chakra.span
            key="is"
            fontWeight={700}
            color={each.is === 'new' || each.is === 'worse' ? 'signalInk' : undefined}
          >
            {comparedWords[each.is]}
          </chakra.span>,
          each.what,
          each.then ? `${feet(each.then.at_ft)}, ${gradeWords[each.then.grade]}` : '–',
          each.now ? `${feet(each.now.at_ft)}, ${gradeWords[each.now.grade]}` : '–',
          <chakra.span key="why" color="soft" fontSize="13.5px">
            {each.why}
          </chakra.span>,
        ],
      }))}
    />
  );
}

function TimelineRow({ moment }: { moment: Moment }) {
  const late = moment.kind === 'due' && moment.to < today();
  return (
    <Flex as="li" gap="3" py="1.5" borderTop="1px solid" borderColor="rule">
      <Text width="96px" flexShrink={0} color={moment.kind === 'due' ? 'ink' : 'soft'}>
        {sayDay(moment.on)}
      </Text>
      <Box>
        <Text fontWeight={moment.kind === 'due' ? 700 : 400} color={late ? 'signalInk' : undefined}>
          {moment.what}
        </Text>
        {moment.to !== moment.on && <Note size="fine">not later than {sayDay(moment.to)}</Note>}
      </Box>
    </Flex>
  );
}
