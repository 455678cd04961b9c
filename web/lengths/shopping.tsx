import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { ScopeSoFar } from '../../core/scope/scope.js';
import { shoppingList, type ShoppingItem } from '../../core/views/shopping.js';
import { Press } from '../controls/controls';
import { save } from '../files/save';
import { tableText } from '../files/table-file';
import { Alarm } from '../controls/text';

const amount = ({ count, unit }: ShoppingItem): string =>
  unit === 'gal' ? `${count.toFixed(2)} gal` : `${count} ×`;

/** Items ticked off, stored in this browser. */
function useTicks(key: string) {
  const [ticked, setTicked] = useState<readonly string[]>(() => readTicks(key));
  const toggle = (what: string) => {
    const next = ticked.includes(what) ? ticked.filter((each) => each !== what) : [...ticked, what];
    setTicked(next);
    try {
      localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // Without storage the ticks last as long as the page.
    }
  };
  return { ticked, toggle };
}

interface Props {
  readonly scope: ScopeSoFar;
  readonly jobId: string;
  readonly name: string;
}

/** The shopping list of a job, to tick off in the shop and on site; the ticks stay in this browser. */
export function Shopping({ scope, jobId, name }: Props) {
  const { ticked, toggle } = useTicks(`open-trench-bought ${jobId}`);
  const list = shoppingList(scope);
  const download = () => {
    const csv = tableText(
      list.map(({ what, count, unit, measure }) => ({
        what,
        count: unit === 'gal' ? count.toFixed(2) : count,
        unit,
        measure_first: measure ?? '',
      })),
    );
    save(new Blob([csv], { type: 'text/csv' }), `${name}-to-buy.csv`);
  };
  return (
    <>
      {list.map((item) => (
        <ItemRow
          key={item.what}
          item={item}
          done={ticked.includes(item.what)}
          onToggle={() => {
            toggle(item.what);
          }}
        />
      ))}
      <Flex mt="3">
        <Press type="button" onClick={download}>
          Save as CSV
        </Press>
      </Flex>
    </>
  );
}

interface ItemRowProps {
  readonly item: ShoppingItem;
  readonly done: boolean;
  readonly onToggle: () => void;
}

const ItemRow = ({ item, done, onToggle }: ItemRowProps) => (
  <chakra.label
    display="flex"
    alignItems="center"
    gap="3"
    minHeight="44px"
    borderTop="1px solid"
    borderColor="rule"
    cursor="pointer"
  >
    <chakra.input
      type="checkbox"
      width="24px"
      height="24px"
      flexShrink={0}
      checked={done}
      onChange={onToggle}
    />
    <Text width="84px" flexShrink={0} fontWeight={700}>
      {amount(item)}
    </Text>
    <Box flex="1" textDecoration={done ? 'line-through' : 'none'} color={done ? 'soft' : 'ink'}>
      {item.what}
      {item.measure !== undefined && (
        <Alarm strong fontSize="14px">
          measure before buying: {item.measure}
        </Alarm>
      )}
    </Box>
  </chakra.label>
);

function readTicks(key: string): readonly string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? kept.filter((each) => typeof each === 'string') : [];
  } catch {
    return [];
  }
}
