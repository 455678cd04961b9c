import { Box, Flex } from '@chakra-ui/react';
import { Field, Label, Press } from '../controls/controls';
import { lazyPart } from '../shell/lazy-part';
import { jobConditions, type JobCondition, type JobFilter } from './find';

const held = Object.keys(jobConditions) as JobCondition[];
// The methods’ names are loaded with the methods themselves, after the list.
const MethodFilter = lazyPart('method filter', async () => (await import('./method-filter')).MethodFilter);

/** Filters of the list: words, what is missing or due, a method. */
export function Finder({ value, onChange }: { value: JobFilter; onChange: (value: JobFilter) => void }) {
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
              {jobConditions[each]}
            </Press>
          );
        })}
      </Flex>
    </Box>
  );
}
