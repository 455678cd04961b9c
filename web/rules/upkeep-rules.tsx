import { Box, Flex, Text } from '@chakra-ui/react';
import type { Rules } from '../../core/job/rules.js';
import type { RulesOverride } from '../../core/job/rules-schema.js';
import { NumberCell, TextCell } from '../site/cells';
import { Group, Row } from './rows';

const windows = [
  ['cleanEvery_months', 'Clean while roots remain'],
  ['cleanFirst_months', '… the first time after roots past half the diameter'],
] as const;
const looks = [
  ['lookRoots_months', 'Inspect where roots stay, every'],
  ['look_months', 'Inspect everywhere else, every'],
] as const;

interface Props {
  readonly rules: RulesOverride;
  readonly beneath: Rules;
  readonly ownWords: string;
  readonly onChange: (patch: RulesOverride) => void;
}

/** Intervals of cleaning and inspection for a line. */
export function UpkeepRules({ rules, beneath, ownWords, onChange }: Props) {
  const own = (key: keyof RulesOverride) => (rules[key] === undefined ? undefined : ownWords);
  return (
    <Group title="Upkeep">
      {windows.map(([key, label]) => (
        <Row key={key} label={label} unit="months" own={own(key)}>
          <Window field={key} label={label} rules={rules} beneath={beneath} onChange={onChange} />
        </Row>
      ))}
      {looks.map(([key, label]) => (
        <Row key={key} label={label} unit="months" own={own(key)}>
          <NumberCell
            label={`${label} so many months`}
            least={1}
            value={rules[key]}
            placeholder={String(beneath[key])}
            onChange={(value) => {
              onChange({ [key]: value });
            }}
          />
        </Row>
      ))}
      <Row label="Last strong earthquake" unit="" own={own('earthquakeOn')}>
        <TextCell
          label="Day of the last strong earthquake, such as 2026-03-04"
          placeholder={beneath.earthquakeOn ?? 'none, or 2026-03-04'}
          value={rules.earthquakeOn}
          accepts={/^\d{4}-\d{2}-\d{2}$/}
          onChange={(earthquakeOn) => {
            onChange({ earthquakeOn });
          }}
        />
      </Row>
    </Group>
  );
}

interface WindowProps extends Omit<Props, 'ownWords'> {
  readonly field: (typeof windows)[number][0];
  readonly label: string;
}

/** From and to, months; a value equal to the inherited one is no rule of its own. */
function Window({ field, label, rules, beneath, onChange }: WindowProps) {
  const house = beneath[field];
  const [from, to] = rules[field] ?? house;
  const set = (next: readonly [number, number]) => {
    const [low, high] = next[0] <= next[1] ? next : [next[1], next[0]];
    onChange({ [field]: low === house[0] && high === house[1] ? undefined : [low, high] });
  };
  return (
    <Flex align="center" gap={{ base: '1', md: '2' }}>
      <Box flex="1" minWidth={0}>
        <NumberCell
          label={`${label}, not before, months`}
          least={1}
          value={rules[field] && from}
          placeholder={String(from)}
          onChange={(value) => {
            set([value ?? house[0], to]);
          }}
        />
      </Box>
      <Text>to</Text>
      <Box flex="1" minWidth={0}>
        <NumberCell
          label={`${label}, not after, months`}
          least={1}
          value={rules[field] && to}
          placeholder={String(to)}
          onChange={(value) => {
            set([from, value ?? house[1]]);
          }}
        />
      </Box>
    </Flex>
  );
}
