import { chakra, Flex, Text } from '@chakra-ui/react';
import type { ScopeSoFar } from '../../core/scope/scope.js';
import { leavesWords } from '../lanes/options-lane.js';
import { schools, schoolWords, type School } from '../../core/job/school-words.js';
import { money } from '../controls/format.js';
import { Note } from '../controls/text.js';

const Way = chakra('button', {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '3',
    width: '100%',
    minHeight: '52px',
    px: '3.5',
    py: '1.5',
    textAlign: 'left',
    bg: 'transparent',
    border: '1.5px solid transparent',
    borderBottomColor: 'rule',
    cursor: 'pointer',
    '&[aria-checked=true]': { bg: 'sheet', borderColor: 'ink' },
  },
});

/** The three options where the sheet is too narrow for their lane: name, price, and what each leaves. */
export function OptionsList({ scope, onTake }: { scope: ScopeSoFar; onTake: (school: School) => void }) {
  const cents = (amount: number) => money(amount, scope.prices.currency);
  return (
    <Flex
      direction="column"
      role="radiogroup"
      aria-label="Repair options"
      borderTop="1px solid"
      borderColor="rule"
    >
      {schools.map((school) => {
        const approach = scope.ways.find((each) => each.school === school);
        return (
          <Way
            key={school}
            type="button"
            role="radio"
            aria-checked={school === scope.school}
            onClick={() => {
              onTake(school);
            }}
          >
            <Flex direction="column" flex="1" minWidth="0">
              <Text fontFamily="heading" fontWeight={700}>
                {schoolWords[school].name}
              </Text>
              <Note size="fine">
                {approach?.feasible
                  ? `then ${cents(approach.carried)} expected over ten years, ${leavesWords(approach)}`
                  : schoolWords[school].means}
              </Note>
            </Flex>
            <Text fontFamily="heading" fontWeight={700} fontSize="18px">
              {approach ? (approach.feasible ? cents(approach.total) : 'not possible') : '…'}
            </Text>
          </Way>
        );
      })}
    </Flex>
  );
}
