import { methodName } from '../../core/methods/index.js';
import { Box, Flex } from '@chakra-ui/react';
import { methods, type Method } from '../../core/job/vocabulary.js';
import { Choice, Field, Label, Press } from '../controls/controls';
import { holdings, type Holding, type Sought } from './find';

const held = Object.keys(holdings) as Holding[];
const sought = methods.filter((method) => method !== 'leave');

/** Filters of the list: words, what is missing or due, a method. */
export function Finder({ value, onChange }: { value: Sought; onChange: (value: Sought) => void }) {
  return (
    <Box mb="4">
      <Flex gap="3" align="flex-end" wrap="wrap">
        <Box flex="1" minWidth="220px">
          <Label htmlFor="find">Find by address, customer, finding or material</Label>
          <Field
            id="find"
            type="search"
            value={value.text}
            onChange={(event) => {
              onChange({ ...value, text: event.target.value });
            }}
          />
        </Box>
        <Box width="180px">
          <Label htmlFor="find-method">Method</Label>
          <Choice
            id="find-method"
            value={value.method ?? ''}
            onChange={(event) => {
              onChange({ ...value, method: (event.target.value || undefined) as Method | undefined });
            }}
          >
            <option value="">any</option>
            {sought.map((method) => (
              <option key={method} value={method}>
                {methodName(method)}
              </option>
            ))}
          </Choice>
        </Box>
      </Flex>
      <Flex gap="2" wrap="wrap" mt="3" role="group" aria-label="Only jobs that are">
        {held.map((each) => {
          const on = value.holding.includes(each);
          return (
            <Press
              key={each}
              type="button"
              px="3"
              look={on ? 'chosen' : 'plain'}
              aria-pressed={on}
              onClick={() => {
                onChange({
                  ...value,
                  holding: on ? value.holding.filter((other) => other !== each) : [...value.holding, each],
                });
              }}
            >
              {holdings[each]}
            </Press>
          );
        })}
      </Flex>
    </Box>
  );
}
