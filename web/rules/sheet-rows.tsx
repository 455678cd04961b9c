import { Box, Flex, Text } from '@chakra-ui/react';
import { NumberCell } from '../site/cells';
import { Press } from '../controls/controls';
import { Group } from './rows';

/** A temperature, °F, and the resin data sheet's value for it. */
type SheetRow = readonly [at_F: number, value: number];

interface Props {
  readonly title: string;
  /** Name of a row in its label: "Resin row". */
  readonly name: string;
  readonly unit: { readonly short: string; readonly word: string };
  readonly own: readonly SheetRow[] | undefined;
  readonly beneath: readonly SheetRow[];
  readonly onChange: (rows: SheetRow[] | undefined) => void;
}

/** A table from the resin's data sheet, one row per temperature; clearing a temperature removes its row. */
export function SheetRows({ title, name, unit, own, beneath, onChange }: Props) {
  const rows = own ?? beneath;
  const put = (next: readonly SheetRow[]) => {
    const sorted = [...next].sort((a, b) => a[0] - b[0]).filter((row, i, all) => row[0] !== all[i - 1]?.[0]);
    onChange(sorted.length > 0 ? sorted : undefined);
  };
  return (
    <Group title={title}>
      {rows.map((row, index) => (
        <RowCells
          key={`${index} ${row[0]}`}
          name={`${name} ${index + 1}`}
          unit={unit}
          row={row}
          onChange={(next) => {
            put(rows.flatMap((each) => (each === row ? (next ? [next] : []) : [each])));
          }}
        />
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

interface RowCellsProps extends Pick<Props, 'name' | 'unit'> {
  readonly row: SheetRow;
  /** Undefined removes the row. */
  readonly onChange: (row: SheetRow | undefined) => void;
}

const RowCells = ({ name, unit, row: [at_F, value], onChange }: RowCellsProps) => (
  <Flex align="center" gap="2" py="1">
    <Text>at</Text>
    <Box width="96px">
      <NumberCell
        label={`${name}, °F`}
        value={at_F}
        onChange={(next) => {
          onChange(next === undefined ? undefined : [next, value]);
        }}
      />
    </Box>
    <Text>°F</Text>
    <Box width="96px">
      <NumberCell
        label={`${name}, ${unit.word}`}
        least={0.1}
        value={value}
        onChange={(next) => {
          if (next !== undefined) onChange([at_F, next]);
        }}
      />
    </Box>
    <Text>{unit.short}</Text>
  </Flex>
);
