import { Box, chakra, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { NumberCell } from '../site/cells';
import { Press } from '../controls/controls';

export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box mt="4">
      <Heading as="h3" fontSize="15px" color="soft" borderBottom="1px solid" borderColor="rule" pb="1">
        {title}
      </Heading>
      {children}
    </Box>
  );
}

export function Row({
  label,
  unit,
  own,
  children,
}: {
  label: string;
  unit: string;
  /** Whose own value this is; undefined where the inherited one is in force. */
  own: string | undefined;
  children: ReactNode;
}) {
  // Words take the room of the unit that they do not have.
  const isWord = !unit && !own;
  return (
    <Flex align="center" gap="3" py="1" borderBottom="1px solid" borderColor="rule">
      <Text flex="1" fontWeight={own ? 700 : 400}>
        {label}
      </Text>
      <Box width={isWord ? { base: '220px', md: '306px' } : { base: '130px', md: '190px' }} flexShrink={0}>
        {children}
      </Box>
      {!isWord && (
        <Text
          width={{ base: '78px', md: '104px' }}
          flexShrink={0}
          fontSize="13.5px"
          color={own ? 'signalInk' : 'soft'}
        >
          {unit}
          {own && unit && <br />}
          {own}
        </Text>
      )}
    </Flex>
  );
}

/** A row of several figures under their column heads; on a phone its name stands on a line of its own. */
export const FigureLine = chakra(Flex, {
  base: { gap: '2', alignItems: 'center', flexWrap: { base: 'wrap', md: 'nowrap' } },
});
export const FigureName = chakra('span', { base: { flex: { base: '1 0 100%', md: '1' } } });
export const FigureBox = chakra('div', {
  base: { minWidth: 0, flex: { base: '1', md: 'none' }, width: { md: '84px' } },
});

interface RateTableProps {
  readonly label: string;
  /** Rates beneath the own ones. */
  readonly house: Readonly<Record<string, number | string>>;
  readonly own: Readonly<Record<string, number | string | undefined>>;
  readonly byOthers?: boolean;
  readonly nameOf?: (key: string) => string;
  readonly onChange: (table: Record<string, number | string>) => void;
}

/** A small table of rates; `byOthers` lets a row be left to another trade, which excludes it from the price. */
export function RateTable(props: RateTableProps) {
  const { label, house, own, byOthers = false, nameOf = (key: string) => key, onChange } = props;
  const put = (key: string, value: number | string | undefined) => {
    const rest = Object.entries(own).filter(([each]) => each !== key);
    const next = value === undefined ? rest : [...rest, [key, value] as const];
    onChange(Object.fromEntries(next.flatMap(([each, kept]) => (kept === undefined ? [] : [[each, kept]]))));
  };
  return (
    <Group title={label}>
      <Grid templateColumns="repeat(auto-fill, minmax(150px, 1fr))" gap="2" pt="2">
        {Object.entries(house).map(([key, rate]) => {
          const mine = own[key];
          const inForce = mine ?? rate;
          const name = nameOf(key);
          return (
            <Box key={key}>
              <Text fontSize="13.5px" color={mine !== undefined && mine !== rate ? 'signalInk' : 'soft'}>
                {name}
                {inForce === 'by-others' && ': restored by others'}
              </Text>
              <NumberCell
                label={`${label}: ${name}`}
                measure="money"
                least={0}
                value={typeof mine === 'number' && mine !== rate ? mine : undefined}
                placeholder={inForce === 'by-others' ? 'by others' : String(rate)}
                onChange={(value) => {
                  put(key, value);
                }}
              />
              {byOthers && (
                <Press
                  look="quiet"
                  type="button"
                  fontSize="13.5px"
                  onClick={() => {
                    put(key, inForce === 'by-others' ? (rate === 'by-others' ? 0 : undefined) : 'by-others');
                  }}
                >
                  {inForce === 'by-others' ? 'restore it ourselves' : 'leave it to others'}
                </Press>
              )}
            </Box>
          );
        })}
      </Grid>
    </Group>
  );
}
