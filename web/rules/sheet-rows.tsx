import { Box, Flex, Text } from '@chakra-ui/react';
import { NumberCell } from '../site/cells';
import { Press } from '../controls/controls';
import { Group } from './rows';

/** A temperature, °F, and what the resin's sheet says of it. */
type SheetRow = readonly [at_F: number, value: number];

/** A table of the resin's own sheet, a row a temperature; an empty temperature takes its row out. */
export function SheetRows({
  title,
  name,
  unit,
  own,
  beneath,
  onChange,
}: {
  title: string;
  /** What a row is called by its label: "Resin row". */
  name: string;
  unit: { readonly short: string; readonly word: string };
  own: readonly SheetRow[] | undefined;
  beneath: readonly SheetRow[];
  onChange: (rows: SheetRow[] | undefined) => void;
}) {
  const rows = own ?? beneath;
  const put = (next: readonly SheetRow[]) => {
    const sorted = [...next].sort((a, b) => a[0] - b[0]).filter((row, i, all) => row[0] !== all[i - 1]?.[0]);
    onChange(sorted.length > 0 ? sorted : undefined);
  };
  return (
    <Group title={title}>
      {rows.map((row, index) => (
        <Flex key={`${index} ${row[0]}`} align="center" gap="2" py="1">
          <Text>at</Text>
          <Box width="96px">
            <NumberCell
              label={`${name} ${index + 1}, °F`}
              value={row[0]}
              onChange={(at_F) => {
                put(
                  rows.flatMap((each) =>
                    each !== row ? [each] : at_F === undefined ? [] : [[at_F, row[1]] as const],
                  ),
                );
              }}
            />
          </Box>
          <Text>°F</Text>
          <Box width="96px">
            <NumberCell
              label={`${name} ${index + 1}, ${unit.word}`}
              least={0.1}
              value={row[1]}
              onChange={(value) => {
                if (value !== undefined) put(rows.map((each) => (each === row ? [row[0], value] : each)));
              }}
            />
          </Box>
          <Text>{unit.short}</Text>
        </Flex>
      ))}
      <Flex gap="3" align="center">
        <Press
          look="quiet"
          type="button"
          onClick={() => {
            const [last_F, last] = rows.at(-1) ?? [60, 60];
            put([...rows, [last_F + 10, last]]);
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
