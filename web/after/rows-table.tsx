import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Cell, Head } from '../controls/table';

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
    <Box overflowX="auto" tabIndex={0} role="region" aria-label={label}>
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
            <chakra.tr key={key} borderTop="1px solid" borderColor="rule">
              {cells.map((cell, i) => (
                <Cell key={i} py="2">
                  {cell}
                </Cell>
              ))}
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
