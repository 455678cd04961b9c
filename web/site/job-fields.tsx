import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import { jobHead, type Edit } from '../../core/edits/index.js';
import type { Job, Line, LineHead } from '../../core/job/schema.js';
import { soils } from '../../core/job/vocabulary.js';
import { AddPress } from '../controls/add-press';
import { Label, Press } from '../controls/controls';
import { ChoiceCell, LongCell, NumberCell, TextCell } from './cells';

const reasons = [
  ['backup', 'a backup'],
  ['purchase', 'a purchase'],
  ['follow-up', 'a follow-up'],
  ['planned', 'planned work'],
] as const;

const Row = chakra('div', { base: { mb: '3' } });

/** Who, why, what was said, what was not looked at. */
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
      {(
        [
          ['address', 'Address', TextCell],
          ['customer', 'Customer', TextCell],
          ['complaint', 'What came up where, and what they saw', LongCell],
          ['notes', 'Notes', LongCell],
        ] as const
      ).map(([field, label, Written]) => (
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
        <chakra.input
          type="date"
          aria-label="Day of the inspection"
          minHeight="44px"
          width="100%"
          px="3"
          bg="sheet"
          color="ink"
          border="1.5px solid"
          borderColor="soft"
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

/** Soil, groundwater, and what drains into this line and how that was proved. */
export function LineFields({ line, setLine }: { line: Line; setLine: (patch: Partial<LineHead>) => void }) {
  const tests = line.runs.flatMap(({ entries }) => entries.filter((entry) => entry.kind === 'test'));
  const serves = line.serves ?? [];
  const proof = (what: string) => {
    const own = tests.filter(({ of }) => of === what);
    return own.length === 0
      ? 'not proved'
      : own
          .map(({ what: test, arrives, runsAway }) =>
            [
              test,
              arrives === undefined ? '' : arrives ? 'arrives' : 'does not arrive',
              runsAway === undefined ? '' : runsAway ? 'runs away' : 'does not run away',
            ]
              .filter(Boolean)
              .join(' '),
          )
          .join('; ');
  };
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
      <Text fontSize="13px" color="soft" mb="3">
        The competent person at the trench settles the soil class, not this page.
      </Text>
      <Heading as="h3" fontSize="15px" mb="1">
        What drains here
      </Heading>
      {serves.map(({ what, here }, index) => (
        <Box key={index} mb="2">
          <Flex gap="2">
            <TextCell
              label="What drains here"
              value={what}
              onChange={(value) => {
                setLine({
                  serves:
                    value === undefined
                      ? serves.filter((_, i) => i !== index)
                      : serves.map((each, i) => (i === index ? { ...each, what: value } : each)),
                });
              }}
            />
            <ChoiceCell
              label={`Does ${what} drain here`}
              value={here}
              options={[
                ['yes', 'yes'],
                ['no', 'no'],
                ['unknown', 'not known'],
              ]}
              onChange={(value) => {
                setLine({
                  serves: serves.map((each, i) => (i === index ? { ...each, here: value } : each)),
                });
              }}
            />
          </Flex>
          <Text fontSize="13px" color="soft">
            {proof(what)}
          </Text>
        </Box>
      ))}
      <AddPress
        onClick={() => {
          setLine({ serves: [...serves, { what: `fixture ${serves.length + 1}`, here: 'unknown' }] });
        }}
      >
        Add what drains here
      </AddPress>
      <Text fontSize="13px" color="soft">
        Proved in the camera log: 81.7 flush from upstairs bath arrives runs away.
      </Text>
    </Box>
  );
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
