import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { capital } from '../../core/capital.js';
import type { Line, Run } from '../../core/job/schema.js';
import type { Cue } from '../../core/captions.js';
import type { ToRead } from '../../core/logprint/to-read.js';
import { turnedPass } from '../../core/logprint/turned-pass.js';
import type { Warning } from '../../core/warning.js';
import { SaveReport } from '../documents/save-buttons';
import { AddPress } from '../controls/add-press';
import { Cap, Press } from '../controls/controls';
import { runName } from '../../core/job/run-words.js';
import { sayDay } from '../../core/days.js';
import { useWaiting } from '../api/outbox';
import { useJobContext, type JobContext } from '../shell/job-layout';
import { ButtonChoice } from './button-choice';
import { CsvPanel } from './csv-panel';
import { LineStrip } from './line-strip';
import { LogKeys } from './log-keys';
import { LogTable } from './log-table';
import { NarrationIn } from '../narration/narration-in';
import { RunForm } from './run-form';
import { PassChoice, RunPanel } from './run-panel';
import { lazyPart } from '../shell/lazy-part.js';
import type { TypedLineHandle } from './use-typed-line';
import { useLogActions, type LogActions, type LogRefs } from './use-log-actions.js';
import type { VideoHandle } from '../video/video-panel';
import { Note } from '../controls/text';

// What reads a line is half of this view's scripts, and the log is drawn without it.
const TypedLine = lazyPart('typed line', async () => (await import('./typed-line')).TypedLine);
const VideoPanel = lazyPart('video', async () => (await import('../video/video-panel')).VideoPanel);
const ReelPanel = lazyPart('reel', async () => (await import('../video/reel-panel')).ReelPanel);

/** The record everything else trusts: what the camera saw, typed as it is said. */
export function LogView() {
  const context = useJobContext();
  const typed = useRef<TypedLineHandle>(null);
  const video = useRef<VideoHandle>(null);
  const hand = useLogActions(context, { typed, video });
  const [cues, setCues] = useState<readonly Cue[]>([]);
  const [typedHere, setTypedHere] = useState<readonly string[]>([]);
  const { line, lineView, change } = context;
  const { run, reel, queue } = hand;
  return (
    <Flex
      height="100%"
      direction={{ base: 'column', md: 'row' }}
      overflow={{ base: 'auto', md: 'hidden' }}
      className="printed-log"
    >
      <PrintedHead context={context} run={run} />
      <Beside context={context} hand={hand} video={video} cues={cues} />
      <Flex direction="column" flex="1" minWidth={0} minHeight={{ md: 0 }} order={{ base: 1, md: 0 }}>
        <Runs context={context} hand={hand} typed={typed} video={video} onCues={setCues} />
        {run && (
          <LineBox
            {...{ context, hand, run, typed, video }}
            onWrite={(ids) => {
              setTypedHere((before) => [...before, ...ids]);
            }}
          />
        )}
        {run && <WrongPass key={run.id} {...{ context, hand, run, typed, typedHere }} />}
        {queue.length > 0 && <Queue queue={queue} onNext={hand.readNext} />}
        <Box flex="1" minHeight={{ base: 'auto', md: 0 }} overflowY={{ md: 'auto' }}>
          <Waiting job={context.id} />
          <LogTable line={line} rows={hand.rows} change={change} onChange={hand.open} onSeek={hand.seek} />
        </Box>
        <Box borderTop="1px solid" borderColor="ink" bg="sheet" flexShrink={0}>
          {lineView && (
            <LineStrip
              lineView={lineView}
              head={
                reel.reading_ft === undefined
                  ? undefined
                  : { run: run?.id ?? '', reading_ft: reel.reading_ft }
              }
            />
          )}
        </Box>
      </Flex>
    </Flex>
  );
}

interface Part {
  readonly context: JobContext;
  readonly hand: LogActions;
}

/** Heading of the printed log. */
const PrintedHead = ({ context: { job, line }, run }: { context: JobContext; run: Run | undefined }) => (
  <Text className="printed-only" fontWeight={700} fontSize="18px" px="3" py="2">
    {[job.title, line.name ?? line.id, run?.name, job.inspectedOn && sayDay(job.inspectedOn)]
      .filter(Boolean)
      .join(', ')}
  </Text>
);

/** The typed line: above the log, and on a phone always under the thumb. */
const LineBox = ({
  context,
  hand,
  run,
  typed,
  video,
  onWrite,
}: Part & LogRefs & { readonly run: Run; readonly onWrite: (ids: readonly string[]) => void }) => (
  <Box
    className="not-printed"
    bg="sheet"
    px={{ base: '3', md: '4' }}
    pt={{ base: '2', md: '4' }}
    pb="2"
    borderTop={{ base: '1px solid', md: 'none' }}
    borderBottom={{ md: '1px solid' }}
    borderColor="ink"
    flexShrink={0}
    position={{ base: 'sticky', md: 'static' }}
    bottom="0"
    order={{ base: 5, md: 0 }}
    zIndex={{ base: 3, md: 'auto' }}
  >
    {/* As high as what is loaded into it, so that the log below does not move. */}
    <Box minHeight={{ base: '122px', md: '140px' }}>
      <TypedLine
        ref={typed}
        line={context.line}
        lineView={context.lineView}
        runId={run.id}
        pass={hand.pass}
        waterClock={hand.waterClock}
        change={context.change}
        besideThumb={<PassChoice pass={hand.pass} setPass={hand.setPass} tight />}
        stamp={() => video.current?.stamp()}
        onEmptyKey={hand.emptyKey}
        onWrite={onWrite}
      />
    </Box>
  </Box>
);

/** Beside the log: the picture, the run, keys, warnings, and the report. */
function Beside({
  context: { line, lineView, change, view },
  hand,
  video,
  cues,
}: Part & Pick<LogRefs, 'video'> & { cues: readonly Cue[] }) {
  const { run, source, pass, setPass, waterClock, setWaterClock } = hand;
  const warnings = (view?.scope.warnings ?? []).filter(
    (warning) => warning.line === line.id && warning.rule !== 'reading-disagreement',
  );
  return (
    <Box
      className="not-printed"
      width={{ base: '100%', md: '300px', xl: '360px' }}
      flexShrink={0}
      overflowY={{ md: 'auto' }}
      p="4"
      order={{ base: 3, md: 0 }}
      borderRight={{ md: '1px solid' }}
      borderColor={{ md: 'ink' }}
    >
      <Pictures source={source} setSource={hand.setSource} />
      {source === 'video' && run && (
        <VideoPanel
          key={run.id}
          line={line}
          run={run}
          change={change}
          cues={cues}
          onKeep={hand.keepPicture}
          ref={video}
        />
      )}
      {source === 'reel' && (
        <ReelPanel
          reel={hand.reel}
          lineView={lineView}
          runId={run?.id ?? ''}
          onStamp={hand.stampReading}
          onLocate={hand.locate}
        />
      )}
      {run && <RunPanel {...{ line, run, lineView, pass, setPass, waterClock, setWaterClock, change }} />}
      <LogKeys beside={source} />
      <Warnings warnings={warnings} />
      <Box mt="4">
        <SaveReport />
      </Box>
    </Box>
  );
}

const sourceWords = { none: 'No picture', video: 'Video', reel: 'Reel' } as const;

const Pictures = ({ source, setSource }: Pick<LogActions, 'source' | 'setSource'>) => (
  <ButtonChoice
    aria-label="Picture beside the log"
    mb="3"
    fontSize="14px"
    tight
    chosen={source}
    words={sourceWords}
    onChoose={setSource}
  />
);

interface RunsProps extends Part, LogRefs {
  readonly onCues: (cues: readonly Cue[]) => void;
}

/** The runs of the line, one tab each, and a button for a new one. */
function Runs({ context, hand: { run, setRunId, source }, typed, video, onCues }: RunsProps) {
  const { line, change } = context;
  const [adding, setAdding] = useState(false);
  return (
    <>
      <Flex
        align="stretch"
        borderBottom="1px solid"
        borderColor="rule"
        overflowX="auto"
        position="relative"
        flexShrink={0}
        className="not-printed"
      >
        <RunTabs line={line} run={run} setRunId={setRunId} />
        <AddPress
          onClick={() => {
            setAdding(!adding);
          }}
          aria-expanded={adding}
        >
          Add a run
        </AddPress>
        {run && <CsvPanel {...{ line, run, change }} tell={context.tell} />}
        {run && (
          <NarrationIn
            key={run.id}
            job={context}
            run={run}
            clip={() => video.current?.stamp()?.clip}
            seek={source === 'video' ? (seconds) => video.current?.seek(seconds) : undefined}
            onCues={onCues}
          />
        )}
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
    </>
  );
}

const RunTabs = ({ line, run, setRunId }: { line: Line } & Pick<LogActions, 'run' | 'setRunId'>) => (
  <>
    {line.runs.map((each) => (
      <RunTab
        key={each.id}
        type="button"
        aria-pressed={each.id === run?.id}
        onClick={() => {
          setRunId(each.id);
        }}
      >
        <strong>{runName(each)}</strong>
        <Text as="span" fontSize="13px" color="soft" fontWeight={400}>
          {line.points.find(({ id }) => id === each.access)?.name ?? each.access}, toward the{' '}
          {each.direction === 'downstream' ? 'street' : 'house'}
        </Text>
      </RunTab>
    ))}
  </>
);

function Waiting({ job }: { job: string }) {
  const waiting = useWaiting(job);
  if (waiting === 0) return null;
  return (
    <Flex gap="4" px="4" py="2.5" borderBottom="1px solid" borderColor="rule" color="signalInk" role="status">
      <strong>waiting</strong>
      <span>
        {waiting === 1 ? 'One change is' : `${waiting} changes are`} kept on this device; they are sent when
        the server answers.
      </span>
    </Flex>
  );
}

/** A question or a task over the log, with what answers it. */
const LogBar = chakra(Flex, {
  base: {
    alignItems: 'center',
    gap: '3',
    px: '4',
    py: '1',
    bg: 'keep',
    borderBottom: '1px solid',
    borderColor: 'rule',
    flexWrap: 'wrap',
    flexShrink: 0,
  },
});

const passWords = {
  back: { says: 'The counter goes up, pulling back', is: 'pulling back', was: 'pushing out' },
  out: { says: 'The counter goes down, pushing out', is: 'pushing out', was: 'pulling back' },
} as const;

/** Asks once whether what was typed here was typed in the wrong pass, and puts it into the other. */
function WrongPass({
  context: { line, change },
  hand,
  run,
  typed,
  typedHere,
}: Part & Pick<LogRefs, 'typed'> & { readonly run: Run; readonly typedHere: readonly string[] }) {
  const [isRight, setRight] = useState(false);
  // A log from a file may be sorted by feet, whatever the pass.
  const wrong = turnedPass(run.entries.filter(({ id }) => typedHere.includes(id)));
  if (!wrong || isRight) return null;
  const { says, is, was } = passWords[wrong.written];
  const turn = () => {
    hand.setPass(wrong.written === 'back' ? 'out' : 'back');
    typed.current?.focus();
    void change.say(
      wrong.turned.map((set) => ({ kind: 'entry', line: line.id, run: run.id, entry: set.id, set })),
    );
  };
  return (
    <LogBar className="not-printed" role="status">
      <Text flex="1" minWidth="240px">
        <strong>{says}.</strong> Were you {was}?
        {wrong.changes.length > 0 && ` Then the pipe is: ${wrong.changes.join('; ')}.`}
      </Text>
      <Press type="button" onClick={turn}>
        {capital(was)}
      </Press>
      <Press
        type="button"
        onClick={() => {
          setRight(true);
          typed.current?.focus();
        }}
      >
        No, {is}
      </Press>
    </LogBar>
  );
}

/** What is still to be read from the video, one after another by key. */
function Queue({ queue, onNext }: { queue: readonly ToRead[]; onNext: () => void }) {
  const wants = [...new Set(queue.flatMap((each) => each.wants))];
  return (
    <LogBar>
      <Text flex="1">
        <strong>{queue.length} to read from the video</strong>: {wants.join(', ')}
      </Text>
      <Press type="button" onClick={onNext}>
        <Cap>Alt</Cap>
        <Cap>N</Cap>next one
      </Press>
    </LogBar>
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
      <Note
        size="small"
        fontFamily="heading"
        fontWeight={700}
        borderBottom="1px solid"
        borderColor="rule"
        pb="1"
        mb="2"
      >
        To know
      </Note>
      {warnings.map(({ rule, message, at_ft }, index) => (
        <Text key={`${rule} ${index}`} fontSize="14px" mb="2" overflowWrap="anywhere">
          {at_ft !== undefined && <strong>{at_ft.toFixed(1)} ft: </strong>}
          {capital(message)}.
        </Text>
      ))}
    </Box>
  );
}
