import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { tinykeys } from 'tinykeys';
import type { Entry } from '../../core/job/schema.js';
import { wrapClock } from '../../core/survey/clock.js';
import type { Warning } from '../../core/warning.js';
import { deviceName } from '../api/client';
import { useJobContext } from '../shell/job-layout';
import { AddPress } from '../shell/add-press';
import { Cap, Press } from '../shell/controls';
import { SaveReport } from '../documents/save-buttons';
import { CsvPanel } from './csv-panel';
import { freshIds, rowsOf } from './entries';
import { LineStrip } from './line-strip';
import { LogKeys } from './log-keys';
import { LogTable, standing } from './log-table';
import { ReelPanel, step_ft, stride_ft } from './reel-panel';
import { tellReel, useReel } from './reel';
import { RunPanel } from './run-panel';
import { RunForm } from './run-form';
import { markHere, toRead, type ToRead } from '../../core/logline/to-read.js';
import { TypedLine, type TypedLineHandle } from './typed-line';
import { VideoPanel, type VideoHandle } from './video-panel';

/** Where the picture beside the log comes from. */
type Source = 'none' | 'video' | 'reel';

/** The record everything else trusts: what the camera saw, typed as it is said. */
export function LogView() {
  const { line, lineView, change, view, waiting } = useJobContext();
  const [chosenRun, setRunId] = useState(
    line.runs.findLast(({ stage }) => (stage ?? 'current') === 'current')?.id ?? line.runs[0]?.id ?? '',
  );
  const [pass, setPass] = useState<'out' | 'back'>('back');
  const [waterClock, setWaterClock] = useState<number>();
  const [adding, setAdding] = useState(false);
  const [source, setSource] = useState<Source>('none');
  const typed = useRef<TypedLineHandle>(null);
  const video = useRef<VideoHandle>(null);
  const reel = useReel(source === 'reel');
  const run = line.runs.find(({ id }) => id === chosenRun) ?? line.runs[0];
  const rows = lineView && rowsOf(lineView, run);
  const runId = run?.id ?? '';
  const queue = toRead(line);
  const [wanted, setWanted] = useState(0);
  const warnings = (view?.scope.warnings ?? []).filter(
    (warning) => warning.line === line.id && warning.rule !== 'reading-disagreement',
  );

  const turnWater = (hours: number) => {
    setWaterClock((now) => wrapClock((now ?? 6) + hours));
  };
  const stampReading = () => {
    if (reel.reading_ft !== undefined) typed.current?.put(String(reel.reading_ft), 'front');
  };
  const locate = () => {
    void tellReel('locate');
  };
  useEffect(() => {
    if (reel.depth_ft !== undefined) typed.current?.put(`located ${reel.depth_ft} deep`, 'end');
  }, [reel.depth_ft]);
  const open = (entry: Entry) => {
    const own = line.runs.find(({ entries }) => entries.includes(entry));
    if (own) setRunId(own.id);
    if (entry.video_s !== undefined) video.current?.seek(entry.video_s);
    typed.current?.change(entry);
  };
  const readNext = () => {
    const next = queue[wanted % Math.max(1, queue.length)];
    if (!next) return;
    setWanted(wanted + 1);
    open(next.entry);
  };
  const mark = () => {
    if (!run) return;
    const last = run.entries.at(-1);
    const where =
      reel.reading_ft !== undefined ? { reading_ft: reel.reading_ft } : last && { after: last.id };
    if (!where) return;
    const id = freshIds(line, `-${deviceName().slice(-3)}`)();
    const entry = { id, kind: 'locate', pass, ...where, mark: markHere, ...video.current?.stamp() } as Entry;
    void change.say([{ kind: 'entry', line: line.id, run: run.id, entry: id, set: entry }]);
  };
  const settle = (stands: 'out' | 'back') => {
    const row = rows?.find(({ disagreement }) => disagreement && !disagreement.settled);
    const reading = row?.readings.findLast((each) => each.pass === stands);
    if (row && reading) void change.say(standing(line, row, reading));
  };
  const emptyKey = (event: React.KeyboardEvent): boolean => {
    if (event.key === '[' || event.key === ']') {
      turnWater(event.key === '[' ? -0.5 : 0.5);
      return true;
    }
    if (source !== 'reel' || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return false;
    const far = event.shiftKey ? stride_ft : step_ft;
    setPass(event.key === 'ArrowUp' ? 'out' : 'back');
    void tellReel(`move ${event.key === 'ArrowUp' ? far : -far}`);
    return true;
  };
  const keys = useRef<Record<string, () => void>>({});
  useEffect(() => {
    keys.current = {
      'Alt+Digit1': () => {
        setPass('out');
      },
      'Alt+Digit2': () => {
        setPass('back');
      },
      'Alt+BracketLeft': () => {
        turnWater(-0.5);
      },
      'Alt+BracketRight': () => {
        turnWater(0.5);
      },
      'Alt+KeyS': stampReading,
      'Alt+KeyL': locate,
      'Alt+Digit0': () => void tellReel('zero'),
      'Alt+KeyM': mark,
      'Alt+KeyN': readNext,
      'Alt+KeyO': () => {
        settle('out');
      },
      'Alt+KeyB': () => {
        settle('back');
      },
      'Alt+KeyP': () => video.current?.toggle(),
      'Alt+Comma': () => video.current?.back(5),
      'Alt+KeyI': () => typed.current?.focus(),
    };
  });
  useEffect(
    () =>
      tinykeys(
        window,
        Object.fromEntries(
          logKeyNames.map((name) => [
            name,
            (event: KeyboardEvent) => {
              event.preventDefault();
              keys.current[name]?.();
            },
          ]),
        ),
      ),
    [],
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
        <Flex role="group" aria-label="Picture beside the log" mb="3" fontSize="14px">
          {(['none', 'video', 'reel'] as const).map((each) => (
            <Press
              key={each}
              type="button"
              flex="1"
              px="1"
              look={source === each ? 'chosen' : 'plain'}
              aria-pressed={source === each}
              onClick={() => {
                setSource(each);
              }}
            >
              {each === 'none' ? 'No picture' : each === 'video' ? 'Video' : 'Reel'}
            </Press>
          ))}
        </Flex>
        {source === 'video' && run && (
          <VideoPanel key={run.id} line={line} run={run} change={change} ref={video} />
        )}
        {source === 'reel' && (
          <ReelPanel reel={reel} lineView={lineView} runId={runId} onStamp={stampReading} onLocate={locate} />
        )}
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
        <LogKeys reel={source === 'reel'} video={source === 'video'} />
        <Warnings warnings={warnings} />
        <Box mt="4">
          <SaveReport />
        </Box>
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
          <AddPress
            onClick={() => {
              setAdding(!adding);
            }}
            aria-expanded={adding}
          >
            Add a run
          </AddPress>
          {run && <CsvPanel line={line} run={run} change={change} />}
        </Flex>
        {adding && (
          <RunForm
            line={line}
            change={change}
            onDone={(id) => {
              setAdding(false);
              if (id) setRunId(id);
              typed.current?.focus();
            }}
          />
        )}
        {run && (
          <Box bg="sheet" px="4" pt="4" pb="2" borderBottom="1px solid" borderColor="ink" flexShrink={0}>
            <TypedLine
              ref={typed}
              line={line}
              lineView={lineView}
              runId={run.id}
              pass={pass}
              waterClock={waterClock}
              change={change}
              stamp={() => video.current?.stamp()}
              onEmptyKey={emptyKey}
            />
          </Box>
        )}
        {queue.length > 0 && <Queue queue={queue} onNext={readNext} />}
        <Box flex="1" minHeight={{ base: 'auto', md: 0 }} overflowY={{ md: 'auto' }}>
          {waiting > 0 && (
            <Flex
              gap="4"
              px="4"
              py="2.5"
              borderBottom="1px solid"
              borderColor="rule"
              color="signalInk"
              role="status"
            >
              <strong>waiting</strong>
              <span>
                {waiting === 1 ? 'One change is' : `${waiting} changes are`} kept on this device; they go in
                when the server answers.
              </span>
            </Flex>
          )}
          <LogTable
            line={line}
            rows={rows}
            change={change}
            onChange={open}
            onSeek={(seconds) => video.current?.seek(seconds)}
          />
        </Box>
        <Box borderTop="1px solid" borderColor="ink" bg="sheet" flexShrink={0}>
          {lineView && (
            <LineStrip
              lineView={lineView}
              head={reel.reading_ft === undefined ? undefined : { run: runId, reading_ft: reel.reading_ft }}
            />
          )}
        </Box>
      </Flex>
    </Flex>
  );
}

const logKeyNames = [
  'Alt+Digit1',
  'Alt+Digit2',
  'Alt+BracketLeft',
  'Alt+BracketRight',
  'Alt+KeyS',
  'Alt+KeyL',
  'Alt+Digit0',
  'Alt+KeyM',
  'Alt+KeyN',
  'Alt+KeyO',
  'Alt+KeyB',
  'Alt+KeyP',
  'Alt+Comma',
  'Alt+KeyI',
];

/** What is still to be read from the video, worked off one key at a time. */
function Queue({ queue, onNext }: { queue: readonly ToRead[]; onNext: () => void }) {
  const wants = [...new Set(queue.flatMap((each) => each.wants))];
  return (
    <Flex
      align="center"
      gap="3"
      px="4"
      py="1"
      bg="keep"
      borderBottom="1px solid"
      borderColor="rule"
      wrap="wrap"
    >
      <Text flex="1">
        <strong>{queue.length} to read from the video</strong>: {wants.join(', ')}
      </Text>
      <Press type="button" onClick={onNext}>
        <Cap>Alt</Cap>
        <Cap>N</Cap>next one
      </Press>
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
