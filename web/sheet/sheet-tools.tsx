import { Box, chakra, Flex } from '@chakra-ui/react';
import { Activity, Download, HelpCircle, Maximize, Printer, Shapes, ZoomIn, ZoomOut } from 'lucide-react';
import type { ReactNode } from 'react';
import { useNarrow } from '../controls/use-narrow';
import { zoomStep } from './use-window';
import { Alarm } from '../controls/text';

const Tool = chakra('button', {
  base: {
    minWidth: '44px',
    flexShrink: 0,
    height: '44px',
    px: '2',
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '1.5',
    bg: 'transparent',
    border: 'none',
    color: 'ink',
    fontSize: '14px',
    whiteSpace: 'nowrap',
    cursor: 'pointer',
    _hover: { bg: 'keep' },
    _pressed: { bg: 'keep', fontWeight: 700 },
    _disabled: { color: 'soft', cursor: 'default', _hover: { bg: 'transparent' } },
  },
});

export interface SheetActions {
  readonly zoom: (times: number) => void;
  readonly fit: () => void;
  readonly legend: () => void;
  readonly grade: () => void;
  readonly keys: () => void;
  readonly save: (as: 'svg' | 'dxf') => void;
}

/** Why a trial was refused, shown where it stays in sight. */
export const Cannot = ({ why, lines }: { why: string | undefined; lines: number }) => (
  <Alarm
    strong
    px="2"
    fontSize="13.5px"
    lineHeight="1.15"
    role="status"
    data-testid="cannot"
    lineClamp={lines}
    title={why}
  >
    {why}
  </Alarm>
);

const Zoom = ({ zoomed, actions }: { zoomed: boolean; actions: SheetActions }) => (
  <>
    <Tool
      type="button"
      aria-label="Zoom out"
      title="Zoom out (−)"
      disabled={!zoomed}
      onClick={() => {
        actions.zoom(zoomStep);
      }}
    >
      <ZoomOut size={19} />
    </Tool>
    <Tool
      type="button"
      aria-label="Zoom in"
      title="Zoom in (+)"
      onClick={() => {
        actions.zoom(1 / zoomStep);
      }}
    >
      <ZoomIn size={19} />
    </Tool>
    <Tool type="button" title="The whole line (0)" disabled={!zoomed} onClick={actions.fit}>
      <Maximize size={17} /> Whole line
    </Tool>
  </>
);

/** Export of the drawing: for a drawing program, or on paper. */
const OnPaper = ({ save }: Pick<SheetActions, 'save'>) => (
  <>
    {(['svg', 'dxf'] as const).map((as) => {
      const says = `Save the drawing as ${as.toUpperCase()}`;
      return (
        <Tool
          key={as}
          type="button"
          aria-label={says}
          title={says}
          onClick={() => {
            save(as);
          }}
        >
          <Download size={17} /> {as.toUpperCase()}
        </Tool>
      );
    })}
    <Tool
      type="button"
      aria-label="Print the sheet"
      title="Print the sheet"
      onClick={() => {
        window.print();
      }}
    >
      <Printer size={18} />
    </Tool>
  </>
);

interface Props {
  readonly zoomed: boolean;
  readonly gradeOpen: boolean;
  readonly legendOpen: boolean;
  /** Why a trial was refused. */
  readonly cannot: string | undefined;
  readonly actions: SheetActions;
  readonly children: ReactNode;
}

/** The strip above the sheet: zoom, what can be opened and saved, and the current refusal. */
export function SheetTools({ zoomed, gradeOpen, legendOpen, cannot, actions, children }: Props) {
  const narrow = useNarrow();
  return (
    <Flex
      align="center"
      px="2"
      borderBottom="1px solid"
      borderColor="rule"
      flexShrink={0}
      minHeight="44px"
      gap="0.5"
      className="not-printed"
      overflowX="auto"
      css={{ scrollbarWidth: 'none' }}
      // Where the page scrolls, the refusal stays in sight while a bar is dragged.
      position={{ base: 'static', md: 'sticky', lg: 'static' }}
      top="0"
      zIndex={{ md: 3, lg: 'auto' }}
      bg="paper"
    >
      <Zoom zoomed={zoomed} actions={actions} />
      {children}
      <Box flex="1" minWidth="0">
        {!narrow && <Cannot why={cannot} lines={2} />}
      </Box>
      <Tool type="button" aria-pressed={gradeOpen} onClick={actions.grade}>
        <Activity size={17} /> Grade and flow
      </Tool>
      <Tool type="button" aria-pressed={legendOpen} onClick={actions.legend}>
        <Shapes size={17} /> Legend
      </Tool>
      <OnPaper save={actions.save} />
      <Tool type="button" aria-label="Keys of the sheet" title="Keys (?)" onClick={actions.keys}>
        <HelpCircle size={18} />
      </Tool>
    </Flex>
  );
}
