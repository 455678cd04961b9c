import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Cell, Head, RuledRow } from '../controls/table';

/** A plain table; on a phone it scrolls sideways. */
export function RowsTable({
  label,
  head,
  rows,
}: {
  label: string;
  head: readonly string[];
  rows: readonly { readonly key: string; readonly cells: readonly ReactNode[] }[];
}) {
  return (
    <Box overflowX="auto" position="relative" tabIndex={0} role="region" aria-label={label}>
      <chakra.table width="100%" minWidth="620px" borderCollapse="collapse">
        <thead>
          <tr>
            {head.map((each) => (
              <Head key={each}>{each}</Head>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, cells }) => (
            <RuledRow key={key}>
              {cells.map((cell, i) => (
                <Cell key={i} py="2">
                  {cell}
                </Cell>
              ))}
            </RuledRow>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
