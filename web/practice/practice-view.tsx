import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { PracticeResult } from '../../core/practice/practice.js';
import { inventPipe, levels, type Level } from '../../core/practice/invent.js';
import { pictureOf, readingOf } from '../../core/practice/reel.js';
import { wrapClock } from '../../core/survey/clock.js';
import { Choice, Press } from '../controls/controls';
import { logKeys } from '../keys/log-keys';
import { useKeys } from '../keys/use-keys';
import { LogTable } from '../log/log-table';
import { PassChoice, WaterClock } from '../log/run-panel';
import { TypedLine } from '../log/typed-line';
import type { TypedLineHandle } from '../log/use-typed-line';
import { emptyKey } from '../log/use-log-actions.js';
import { ReelPicture } from '../picture/reel-picture';
import { Header, HeaderLink } from '../shell/header';
import { NotFound } from '../shell/not-found';
import { sayStopped } from '../video/reel';
import { Counter, ButtonRow, PushAndPull, StampZeroLocate } from '../video/reel-controls';
import { HintAt, Hints, type Progress } from './hints';
import { addScore, practiceName, readUnfinished, type UnfinishedPractice } from './storage.js';
import { Result } from './result';
import { usePractice, type Practice } from './use-practice';
import { Alarm, Note } from '../controls/text';

/** One practice on an invented pipe: push the head, write the log, then compare it with the truth. */
export function PracticeView() {
  const { level: levelText, seed: seedText } = useParams();
  const level = levels.find((each) => String(each.level) === levelText);
  const seed = Number(seedText);
  const isSound = level !== undefined && Number.isInteger(seed) && seed >= 1 && seed <= 1_000_000;
  const [begun, setBegun] = useState<{ readonly of: string; readonly is: UnfinishedPractice | undefined }>();
  const of = `${levelText ?? ''} ${seedText ?? ''}`;
  useEffect(() => {
    let asked = true;
    if (isSound)
      void readUnfinished(level.level, seed).then((is) => {
        if (asked) setBegun({ of, is });
      });
    return () => {
      asked = false;
    };
  }, [isSound, level, seed, of]);
  if (!isSound) return <NotFound what="There is no such practice" />;
  if (begun?.of !== of) return null;
  return <Session key={of} level={level} seed={seed} begun={begun.is} />;
}

function Session({
  level,
  seed,
  begun,
}: {
  level: Level;
  seed: number;
  begun: UnfinishedPractice | undefined;
}) {
  const pipe = useMemo(() => inventPipe(level.level, seed), [level, seed]);
  const practice = usePractice(pipe, level.level, seed, begun);
  const { job, reel, result } = practice;
  const entries = job.lines.flatMap(({ runs }) => runs.flatMap((run) => run.entries));
  const progress: Progress = {
    reading_ft: readingOf(reel),
    entries: entries.length,
    atMain: entries.some(
      (entry) => entry.kind === 'stop' || (entry.kind === 'point' && entry.point === 'MAIN'),
    ),
    readBack: entries.some((entry) => entry.pass === 'back' && entry.kind !== 'stop'),
    result: result !== undefined,
  };
  useEffect(() => {
    document.title = `Practice: ${level.name} · Open Trench`;
  }, [level]);
  return (
    <Hints progress={progress}>
      <Flex direction="column" height="100%">
        <Header>
          <HeaderLink to="/practice">Practice</HeaderLink>
          <Flex align="center" px="3" minWidth="0">
            <Heading as="h1" fontSize="15px" truncate>
              Level {level.level}: {level.name}
            </Heading>
          </Flex>
        </Header>
        <Flex
          as="main"
          flex="1"
          minHeight={0}
          direction={{ base: 'column', md: 'row' }}
          overflow={{ base: 'auto', md: 'hidden' }}
        >
          <Workbench practice={practice} level={level} seed={seed} />
        </Flex>
      </Flex>
    </Hints>
  );
}

/** Actions on the log and the reel. */
function useHands(practice: Practice) {
  const typed = useRef<TypedLineHandle>(null);
  const [pass, setPass] = useState<'out' | 'back'>('out');
  const [waterClock, setWaterClock] = useState<number>();
  const push = (by_ft: number) => {
    setPass(by_ft > 0 ? 'out' : 'back');
    practice.push(by_ft);
  };
  const turn = (hours: number) => () => {
    setWaterClock((now) => wrapClock((now ?? 6) + hours));
  };
  const passTo = (to: 'out' | 'back') => () => {
    setPass(to);
  };
  const stamp = () => typed.current?.put(String(readingOf(practice.reel)), 'front');
  const locate = () => {
    const words = practice.locate();
    if (words !== undefined) typed.current?.put(words, 'end');
  };
  useKeys(logKeys, {
    passOut: passTo('out'),
    passBack: passTo('back'),
    waterLeft: turn(-0.5),
    waterRight: turn(0.5),
    stamp,
    locate,
    zero: practice.zero,
    line: () => typed.current?.focus(),
  });
  const onEmptyKey = (event: React.KeyboardEvent): boolean =>
    emptyKey(event, turn, (by_ft) => {
      push(by_ft);
      return true;
    });
  return { typed, pass, setPass, waterClock, setWaterClock, push, stamp, locate, onEmptyKey };
}

type Hands = ReturnType<typeof useHands>;

interface WorkbenchProps {
  readonly practice: Practice;
  readonly level: Level;
  readonly seed: number;
}

/** The reel at the left; at its right the log, or the result once it is finished. */
function Workbench({ practice, level, seed }: WorkbenchProps) {
  const hands = useHands(practice);
  return (
    <>
      <Box
        width={{ base: '100%', md: '340px', xl: '420px' }}
        flexShrink={0}
        overflowY={{ md: 'auto' }}
        p="4"
        borderRight={{ md: '1px solid' }}
        borderColor={{ md: 'ink' }}
      >
        <Reel practice={practice} hands={hands} />
      </Box>
      <Flex direction="column" flex="1" minWidth={0} minHeight={{ md: 0 }}>
        {practice.result ? (
          <Outcome practice={practice} result={practice.result} level={level} seed={seed} />
        ) : (
          <>
            <Log practice={practice} hands={hands} />
            <Done practice={practice} level={level} seed={seed} />
          </>
        )}
      </Flex>
    </>
  );
}

/** The typed line above the log, as in a job. */
function Log({ practice, hands }: { readonly practice: Practice; readonly hands: Hands }) {
  const { job, lineView, change, reel } = practice;
  const [line] = job.lines;
  const run = line?.runs.find(({ access }) => access === reel.access.id);
  if (!line || !run) return null;
  return (
    <>
      <Box
        bg="sheet"
        px={{ base: '3', md: '4' }}
        pt={{ base: '2', md: '4' }}
        pb="2"
        borderBottom="1px solid"
        borderColor="ink"
        flexShrink={0}
      >
        <HintAt place="line" />
        <TypedLine
          ref={hands.typed}
          line={line}
          lineView={lineView}
          runId={run.id}
          pass={hands.pass}
          waterClock={hands.waterClock}
          change={change}
          besideThumb={<PassChoice pass={hands.pass} setPass={hands.setPass} tight />}
          onEmptyKey={hands.onEmptyKey}
        />
      </Box>
      <Box flex="1" minHeight={{ base: 'auto', md: 0 }} overflowY={{ md: 'auto' }}>
        <LogTable
          line={line}
          rows={lineView.rows}
          change={change}
          onChange={(entry) => hands.typed.current?.change(entry)}
          onSeek={() => undefined}
        />
      </Box>
    </>
  );
}

/** Compares the log with the truth, and records the score. */
function Done({ practice, level, seed }: WorkbenchProps) {
  const finish = async () => {
    const { comparison } = await practice.finish();
    const count = (is: string) => comparison.things.filter((each) => each.is === is).length;
    await addScore({
      name: practiceName(),
      level: level.level,
      seed,
      at: new Date().toISOString(),
      score: comparison.score.value,
      found: count('found'),
      missed: count('missed'),
      invented: count('invented'),
    });
  };
  return (
    <Box borderTop="1px solid" borderColor="ink" px="4" py="2">
      <HintAt place="done" />
      <Flex gap="3" align="center" wrap="wrap">
        <Press
          type="button"
          look="signal"
          disabled={practice.working}
          aria-busy={practice.working}
          onClick={() => void finish()}
        >
          {practice.working ? 'Comparing it with the truth…' : 'I’m done'}
        </Press>
        <Note size="small">{level.asks}</Note>
      </Flex>
    </Box>
  );
}

function Outcome({ practice, result, level, seed }: WorkbenchProps & { readonly result: PracticeResult }) {
  const navigate = useNavigate();
  return (
    <Box overflowY={{ md: 'auto' }} p="4">
      <Flex gap="2" wrap="wrap" mb="3">
        <Press
          type="button"
          look="signal"
          onClick={() => void navigate(`/practice/${level.level}/${seed + 1}`)}
        >
          Another pipe of this level
        </Press>
        <Press type="button" onClick={practice.goOn}>
          Go on with this log
        </Press>
        <Press type="button" onClick={() => void navigate('/practice')}>
          All levels and scores
        </Press>
      </Flex>
      <Result result={result} onShow={practice.showAgain} />
    </Box>
  );
}

function Reel({ practice, hands }: { readonly practice: Practice; readonly hands: Hands }) {
  const { reel, stoppedBy, said } = practice;
  const reading_ft = readingOf(reel);
  const canClean = stoppedBy !== undefined && stoppedBy !== 'main' && stoppedBy !== 'end';
  return (
    <>
      <ReelPicture picture={pictureOf(reel)} reading_ft={reading_ft} simulated tall="420px" />
      <Counter reading_ft={reading_ft} />
      {stoppedBy !== undefined && <Alarm role="status">{sayStopped(stoppedBy)}</Alarm>}
      {said && <Text role="status">{said}</Text>}
      <HintAt place="reel" />
      <ReelKeys practice={practice} hands={hands} />
      {canClean && (
        <Press type="button" look="signal" width="100%" mt="2" onClick={practice.cleanHere}>
          Clean it here
        </Press>
      )}
      {reel.pipe.accesses.length > 1 && (
        <Choice
          mt="2"
          aria-label="Access point"
          value={reel.access.id}
          onChange={(event) => {
            practice.enterAt(event.target.value);
          }}
        >
          {reel.pipe.accesses.map(({ id, name }) => (
            <option key={id} value={id}>
              in at the {name}
            </option>
          ))}
        </Choice>
      )}
      <Box mt="3">
        <PassChoice pass={hands.pass} setPass={hands.setPass} />
      </Box>
      <Box mt="3">
        <WaterClock waterClock={hands.waterClock} setWaterClock={hands.setWaterClock} />
      </Box>
      <Note fontSize="15px">
        {reel.pipe.accesses
          .map(({ name, riser_ft }) => `${name}: ${riser_ft} ft from cap to level pipe`)
          .join('; ')}
        . The counter reads 0 at the cap.
      </Note>
    </>
  );
}

const ReelKeys = ({ practice, hands }: { readonly practice: Practice; readonly hands: Hands }) => (
  <ButtonRow>
    <PushAndPull push={hands.push} />
    {!practice.result && <StampZeroLocate stamp={hands.stamp} zero={practice.zero} locate={hands.locate} />}
  </ButtonRow>
);
