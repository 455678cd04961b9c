import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import { jobHead, type Edit } from '../../core/edits/index.js';
import type { Job, Line, LineHead } from '../../core/job/schema.js';
import { soils } from '../../core/job/vocabulary.js';
import { AddPress } from '../controls/add-press';
import { Field, Label, Press } from '../controls/controls';
import { ChoiceCell, LongCell, NumberCell, TextCell } from './cells';
import { Note } from '../controls/text';

const reasons = [
  ['backup', 'a backup'],
  ['purchase', 'a purchase'],
  ['follow-up', 'a follow-up'],
  ['planned', 'planned work'],
] as const;

const Row = chakra('div', { base: { mb: '3' } });

const written = [
  ['address', 'Address', TextCell],
  ['customer', 'Customer', TextCell],
  ['complaint', 'What came up where, and what they saw', LongCell],
  ['notes', 'Notes', LongCell],
] as const;

/** Customer, reason, reported symptoms, and what was not inspected. */
export function JobFields({ job, onEdit }: { job: Job; onEdit: (edits: Edit[]) => void }) {
  const site = job.site ?? {};
  const setJob = (patch: Partial<Job>) => {
    onEdit([{ kind: 'job', set: { ...jobHead(job), ...patch } }]);
  };
  const setSite = (patch: Partial<NonNullable<Job['site']>>) => {
    setJob({ site: { ...site, ...patch } });
  };
  const notLookedAt = site.notLookedAt ?? [];
  return (
    <Box>
      <Row>
        <Label as="span">Why we came</Label>
        <ChoiceCell
          label="Why we came"
          value={job.reason}
          options={reasons}
          empty="not said"
          onChange={(reason) => {
            setJob({ reason });
          }}
        />
      </Row>
      {written.map(([field, label, Written]) => (
        <Row key={field}>
          <Label as="span">{label}</Label>
          <Written
            label={label}
            value={site[field]}
            onChange={(value) => {
              setSite({ [field]: value });
            }}
          />
        </Row>
      ))}
      <Row>
        <Label as="span">Day of the inspection</Label>
        <Field
          type="date"
          aria-label="Day of the inspection"
          value={job.inspectedOn ?? ''}
          onChange={(event) => {
            setJob({ inspectedOn: event.target.value || undefined });
          }}
        />
      </Row>
      <Adder
        title="Not inspected"
        items={notLookedAt}
        example="branches under the house"
        onChange={(next) => {
          setSite({ notLookedAt: next });
        }}
      />
    </Box>
  );
}

interface LineProps {
  readonly line: Line;
  readonly setLine: (patch: Partial<LineHead>) => void;
}

/** Soil, groundwater, what drains into this line and how that was proved. */
export function LineFields({ line, setLine }: LineProps) {
  return (
    <Box>
      <Flex gap="3" mb="3">
        <Box flex="1">
          <Label as="span">Soil</Label>
          <ChoiceCell
            label="Soil"
            value={line.soil}
            options={soils}
            empty="not said"
            onChange={(soil) => {
              setLine({ soil });
            }}
          />
        </Box>
        <Box flex="1">
          <Label as="span">Groundwater at, ft down</Label>
          <NumberCell
            label="Groundwater at, ft down"
            measure="feet"
            least={0}
            value={line.groundwater_ft}
            placeholder="not met"
            onChange={(groundwater_ft) => {
              setLine({ groundwater_ft });
            }}
          />
        </Box>
      </Flex>
      <Note size="fine" mb="3">
        The competent person at the trench settles the soil class, not this page.
      </Note>
      <Drains line={line} setLine={setLine} />
    </Box>
  );
}

/** What drains into this line, and how the log proves it. */
function Drains({ line, setLine }: LineProps) {
  const serves = line.serves ?? [];
  return (
    <>
      <Heading as="h3" fontSize="15px" mb="1">
        What drains here
      </Heading>
      {serves.map(({ what, here }, index) => {
        const others = (own: readonly (typeof serves)[number][]) => {
          setLine({ serves: serves.flatMap((each, i) => (i === index ? own : each)) });
        };
        return (
          <Box key={index} mb="2">
            <Flex gap="2">
              <TextCell
                label="What drains here"
                value={what}
                onChange={(value) => {
                  others(value === undefined ? [] : [{ what: value, here }]);
                }}
              />
              <ChoiceCell
                label={`Does ${what} drain here`}
                value={here}
                options={drainWords}
                onChange={(value) => {
                  others([{ what, here: value }]);
                }}
              />
            </Flex>
            <Note size="fine">{proofOf(line, what)}</Note>
          </Box>
        );
      })}
      <AddPress
        onClick={() => {
          setLine({ serves: [...serves, { what: `fixture ${serves.length + 1}`, here: 'unknown' }] });
        }}
      >
        Add what drains here
      </AddPress>
      <Note size="fine">Proved in the camera log: 81.7 flush from upstairs bath arrives runs away.</Note>
    </>
  );
}

const drainWords = [
  ['yes', 'yes'],
  ['no', 'no'],
  ['unknown', 'not known'],
] as const;

/** What the tests of the log say about one that drains here. */
function proofOf({ runs }: Line, what: string): string {
  const own = runs
    .flatMap(({ entries }) => entries.filter((entry) => entry.kind === 'test'))
    .filter(({ of }) => of === what);
  if (own.length === 0) return 'not proved';
  const say = (is: boolean | undefined, does: string, doesNot: string) =>
    is === undefined ? [] : [is ? does : doesNot];
  return own
    .map(({ what: test, arrives, runsAway }) =>
      [
        test,
        ...say(arrives, 'arrives', 'does not arrive'),
        ...say(runsAway, 'runs away', 'does not run away'),
      ].join(' '),
    )
    .join('; ');
}

function Adder({
  title,
  items,
  example,
  onChange,
}: {
  title: string;
  items: readonly string[];
  example: string;
  onChange: (items: string[]) => void;
}) {
  return (
    <Box mb="3">
      <Label as="span">{title}</Label>
      {items.map((item, index) => (
        <Flex key={`${item} ${index}`} align="center" gap="2" justify="space-between">
          <Text>{item}</Text>
          <Press
            type="button"
            look="quiet"
            aria-label={`Delete ${item}`}
            onClick={() => {
              onChange(items.filter((_, i) => i !== index));
            }}
          >
            <Trash2 size={16} />
          </Press>
        </Flex>
      ))}
      <TextCell
        label={`Add: ${title}`}
        value={undefined}
        placeholder={example}
        onChange={(value) => {
          if (value !== undefined) onChange([...items, value]);
        }}
      />
    </Box>
  );
}
