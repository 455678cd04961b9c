import { Flex, Text } from '@chakra-ui/react';
import type { Rules, RulesOverride } from '../../core/job/rules-schema.js';
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

/** When a line is cleaned and looked at again. */
export function UpkeepRules({
  rules,
  beneath,
  ownWords,
  onChange,
}: {
  rules: RulesOverride;
  beneath: Rules;
  ownWords: string;
  onChange: (patch: RulesOverride) => void;
}) {
  const own = (key: keyof RulesOverride) => (rules[key] === undefined ? undefined : ownWords);
  return (
    <Group title="Upkeep">
      {windows.map(([key, label]) => {
        const [from, to] = rules[key] ?? beneath[key];
        const set = (next: readonly [number, number]) => {
          const [low, high] = next[0] <= next[1] ? next : [next[1], next[0]];
          onChange({ [key]: low === beneath[key][0] && high === beneath[key][1] ? undefined : [low, high] });
        };
        return (
          <Row key={key} label={label} unit="months" own={own(key)}>
            <Flex align="center" gap="2">
              <NumberCell
                label={`${label}, not before, months`}
                least={1}
                value={rules[key] && from}
                placeholder={String(from)}
                onChange={(value) => {
                  set([value ?? beneath[key][0], to]);
                }}
              />
              <Text>to</Text>
              <NumberCell
                label={`${label}, not after, months`}
                least={1}
                value={rules[key] && to}
                placeholder={String(to)}
                onChange={(value) => {
                  set([from, value ?? beneath[key][1]]);
                }}
              />
            </Flex>
          </Row>
        );
      })}
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
