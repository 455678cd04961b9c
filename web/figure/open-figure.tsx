import { Box, chakra, Text } from '@chakra-ui/react';
import { useId, useState, type ReactNode } from 'react';
import type { Figure } from '../../core/figure.js';

const Opener = chakra('button', {
  base: {
    font: 'inherit',
    color: 'inherit',
    bg: 'transparent',
    border: 'none',
    p: 0,
    minHeight: '28px',
    textAlign: 'left',
    cursor: 'pointer',
    borderBottom: '1px dotted',
    borderColor: 'soft',
  },
});

/** A number that opens to show its working: each step with its sum and its source. */
export function OpenFigure({
  figure,
  label,
  children,
}: {
  figure: Figure;
  label: string;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const id = useId();
  return (
    <Box
      as="span"
      display="inline-block"
      position="relative"
      onKeyDown={(event: React.KeyboardEvent) => {
        if (event.key === 'Escape') setOpen(false);
      }}
    >
      <Opener
        type="button"
        aria-expanded={open}
        aria-controls={id}
        title={`${label}: show the working`}
        onClick={() => {
          setOpen(!open);
        }}
      >
        {children}
      </Opener>
      {open && <Working id={id} figure={figure} />}
    </Box>
  );
}

/** The steps of a figure, opened in place. */
export function Working({ id, figure }: { id?: string; figure: Figure }) {
  return (
    <Box
      id={id}
      role="note"
      whiteSpace="normal"
      bg="sheet"
      borderLeft="4px solid"
      borderColor="water"
      px="3"
      py="2"
      my="1"
      fontSize="14px"
      fontWeight={400}
      color="ink"
      minWidth="200px"
      maxWidth="420px"
    >
      {figure.steps.length === 0 && <Text>Entered as it is.</Text>}
      {figure.steps.map((step, index) => (
        <Text key={index} mb="1" overflowWrap="anywhere">
          <chakra.span color="soft">{step.label}: </chakra.span>
          {step.expression}
          {step.source && (
            <chakra.span color="soft" fontStyle="italic">
              {' '}
              ({step.source})
            </chakra.span>
          )}
        </Text>
      ))}
    </Box>
  );
}
