import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Warning } from '../../core/warning.js';
import { useJobContext } from '../shell/job-layout';
import { Press } from '../shell/controls';
import { LineStrip } from './line-strip';
import { LogTable } from './log-table';
import { RunPanel } from './run-panel';
import { RunForm } from './run-form';
import { TypedLine } from './typed-line';

/** The record everything else trusts: what the camera saw, typed as it is said. */
export function LogView() {
  const { line, lineView, change, view } = useJobContext();
  const [runId, setRunId] = useState(
    line.runs.findLast(({ stage }) => (stage ?? 'current') === 'current')?.id ?? line.runs[0]?.id ?? '',
  );
  const [pass, setPass] = useState<'out' | 'back'>('back');
  const [waterClock, setWaterClock] = useState<number>();
  const [adding, setAdding] = useState(false);
  const run = line.runs.find(({ id }) => id === runId) ?? line.runs[0];
  const warnings = (view?.scope.warnings ?? []).filter(
    (warning) => warning.line === line.id && warning.rule !== 'reading-disagreement',
  );
  return (
    <Flex height="100%" direction={{ base: 'column', md: 'row' }} overflow={{ base: 'auto', md: 'hidden' }}>
      <Box
        width={{ base: '100%', md: '300px', xl: '360px' }}
        flexShrink={0}
        overflowY={{ md: 'auto' }}
        p="4"
        order={{ base: 3, md: 0 }}
        borderRight={{ md: '1px solid' }}
        borderColor={{ md: 'ink' }}
      >
        {run && (
          <RunPanel
            line={line}
            run={run}
            lineView={lineView}
            pass={pass}
            setPass={setPass}
            waterClock={waterClock}
            setWaterClock={setWaterClock}
            change={change}
          />
        )}
        <Warnings warnings={warnings} />
      </Box>
      <Flex direction="column" flex="1" minWidth={0} minHeight={{ md: 0 }} order={{ base: 1, md: 0 }}>
        <Flex align="stretch" borderBottom="1px solid" borderColor="rule" overflowX="auto" flexShrink={0}>
          {line.runs.map((each) => (
            <RunTab
              key={each.id}
              type="button"
              aria-pressed={each.id === run?.id}
              onClick={() => {
                setRunId(each.id);
              }}
            >
              <strong>{each.name ?? `Run ${each.id.replace(/^R(?=\d)/, '')}`}</strong>
              <Text as="span" fontSize="13px" color="soft" fontWeight={400}>
                {line.points.find(({ id }) => id === each.access)?.name ?? each.access}, toward the{' '}
                {each.direction === 'downstream' ? 'street' : 'house'}
              </Text>
            </RunTab>
          ))}
          <Press
            look="quiet"
            type="button"
            onClick={() => {
              setAdding(!adding);
            }}
            aria-expanded={adding}
            whiteSpace="nowrap"
          >
            <Flex as="span" align="center" gap="1">
              <Plus size={17} /> Add a run
            </Flex>
          </Press>
        </Flex>
        {adding && (
          <RunForm
            line={line}
            change={change}
            onDone={(id) => {
              setAdding(false);
              if (id) setRunId(id);
            }}
          />
        )}
        {run && (
          <Box bg="sheet" px="4" pt="4" pb="2" borderBottom="1px solid" borderColor="ink" flexShrink={0}>
            <TypedLine
              line={line}
              lineView={lineView}
              runId={run.id}
              pass={pass}
              waterClock={waterClock}
              change={change}
            />
          </Box>
        )}
        <Box flex="1" minHeight={{ base: 'auto', md: 0 }} overflowY={{ md: 'auto' }}>
          <LogTable line={line} lineView={lineView} change={change} />
        </Box>
        <Box borderTop="1px solid" borderColor="ink" bg="sheet" flexShrink={0}>
          {lineView && <LineStrip lineView={lineView} />}
        </Box>
      </Flex>
    </Flex>
  );
}

const RunTab = chakra('button', {
  base: {
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'flex-start',
    justifyContent: 'center',
    minHeight: '52px',
    px: '4',
    border: 'none',
    borderBottom: '4px solid transparent',
    bg: 'transparent',
    cursor: 'pointer',
    whiteSpace: 'nowrap',
    fontFamily: 'heading',
    color: 'soft',
    '&[aria-pressed=true]': { color: 'ink', borderBottomColor: 'signal' },
  },
});

function Warnings({ warnings }: { warnings: readonly Warning[] }) {
  if (warnings.length === 0) return null;
  return (
    <Box mt="5">
      <Text
        fontFamily="heading"
        fontWeight={700}
        fontSize="14px"
        color="soft"
        borderBottom="1px solid"
        borderColor="rule"
        pb="1"
        mb="2"
      >
        To know
      </Text>
      {warnings.map(({ rule, message, at_ft }, index) => (
        <Text key={`${rule} ${index}`} fontSize="14px" mb="2" overflowWrap="anywhere">
          {at_ft !== undefined && <strong>{at_ft.toFixed(1)} ft: </strong>}
          {message.charAt(0).toUpperCase() + message.slice(1)}.
        </Text>
      ))}
    </Box>
  );
}
