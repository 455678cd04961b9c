import { Box, Flex, Text } from '@chakra-ui/react';
import type { Rules } from '../../core/job/rules-schema.js';
import { NumberCell } from '../site/cells';
import { Press } from '../controls/controls';
import { Group } from './rows';

type PotLifeRows = Rules['potLife'];

/** The resin's own sheet, a row a temperature; an empty temperature takes its row out. */
export function PotLife({
  own,
  beneath,
  onChange,
}: {
  own: PotLifeRows | undefined;
  beneath: PotLifeRows;
  onChange: (rows: PotLifeRows | undefined) => void;
}) {
  const rows = own ?? beneath;
  const put = (next: PotLifeRows) => {
    const sorted = [...next]
      .sort((a, b) => a.at_F - b.at_F)
      .filter((row, i, all) => row.at_F !== all[i - 1]?.at_F);
    onChange(sorted.length > 0 ? sorted : undefined);
  };
  return (
    <Group title="How long the resin can be worked, from its own sheet">
      {rows.map((row, index) => (
        <Flex key={`${index} ${row.at_F}`} align="center" gap="2" py="1">
          <Text>at</Text>
          <Box width="96px">
            <NumberCell
              label={`Resin row ${index + 1}, °F`}
              value={row.at_F}
              onChange={(at_F) => {
                put(
                  rows.flatMap((each) =>
                    each !== row ? [each] : at_F === undefined ? [] : [{ ...row, at_F }],
                  ),
                );
              }}
            />
          </Box>
          <Text>°F</Text>
          <Box width="96px">
            <NumberCell
              label={`Resin row ${index + 1}, minutes`}
              least={0.1}
              value={row.min}
              onChange={(min) => {
                if (min !== undefined) put(rows.map((each) => (each === row ? { ...row, min } : each)));
              }}
            />
          </Box>
          <Text>min</Text>
        </Flex>
      ))}
      <Flex gap="3" align="center">
        <Press
          look="quiet"
          type="button"
          onClick={() => {
            const last = rows.at(-1);
            put([...rows, { at_F: (last?.at_F ?? 60) + 10, min: last?.min ?? 60 }]);
          }}
        >
          Add a row
        </Press>
        {own && (
          <Press
            look="quiet"
            type="button"
            onClick={() => {
              onChange(undefined);
            }}
          >
            Back to what it was
          </Press>
        )}
      </Flex>
    </Group>
  );
}
