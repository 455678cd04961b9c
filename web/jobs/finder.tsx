import { Box, Flex } from '@chakra-ui/react';
import { Field, Label, Press } from '../controls/controls';
import { late } from '../shell/late';
import { holdings, type Holding, type Sought } from './find';

const held = Object.keys(holdings) as Holding[];
// The methods’ names are loaded with the methods themselves, after the list.
const MethodFilter = late('method filter', async () => (await import('./method-filter')).MethodFilter);

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
        <Flex width="180px" minHeight="68px" direction="column" justify="flex-end">
          <MethodFilter
            value={value.method}
            onChange={(method) => {
              onChange({ ...value, method });
            }}
          />
        </Flex>
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
