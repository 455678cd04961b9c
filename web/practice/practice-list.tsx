import { Box, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { levels, type Level } from '../../core/practice/invent.js';
import { Field, Label, Press } from '../controls/controls';
import { dayAndTime } from '../controls/format';
import { fileName } from '../files/save';
import { SaveButton } from '../controls/save-button';
import { Cell, Head } from '../controls/table';
import { Header, ToJobs } from '../shell/header';
import { saveHintsDone, savePracticeName, practiceName, readScores, type Score } from './storage.js';
import { lazyPart } from '../shell/lazy-part.js';
import { Note, Title } from '../controls/text';

const ScoreChart = lazyPart('score chart', async () => (await import('./score-chart')).ScoreChart);
/** The pipe of a first job: the same for everybody, so that people can compare notes. */
const firstSeed = 1;

/** Levels to practice on, and the record of each name. */
export function PracticeList() {
  const navigate = useNavigate();
  const [name, setName] = useState(practiceName);
  const [scores, setScores] = useState<readonly Score[]>();
  useEffect(() => {
    document.title = 'Practice · Open Trench';
    void readScores().then(setScores);
  }, []);
  const own = (scores ?? []).filter((score) => score.name === name.trim());
  const begin = (level: Level['level'], seed: number) => void navigate(`/practice/${level}/${seed}`);
  return (
    <Flex direction="column" height="100%">
      <Header>
        <ToJobs />
      </Header>
      <Box as="main" flex="1" minHeight={0} overflowY="auto" px={{ base: '4', md: '6' }} py="5">
        <Box maxWidth="1000px" mx="auto">
          <Title size="page" as="h1">
            Practice
          </Title>
          <Text maxWidth="720px" my="3">
            Invented pipes whose truth is known. Push the head, log what you see, then compare your log with
            the truth: what you found and missed, how far off, and what it would have cost. All of it stays in
            this browser.
          </Text>
          <WhoPractices
            name={name}
            setName={setName}
            onFirst={() => {
              begin(1, firstSeed);
            }}
          />
          {levels.map((level) => (
            <LevelRow
              key={level.level}
              level={level}
              best={Math.max(
                0,
                ...own.filter((each) => each.level === level.level).map(({ score }) => score),
              )}
              times={own.filter((each) => each.level === level.level).length}
              onBegin={() => {
                saveHintsDone(true);
                begin(level.level, nextSeed(scores ?? [], level.level));
              }}
            />
          ))}
          {own.length > 0 && <Record name={name.trim()} scores={own} onAgain={begin} />}
        </Box>
      </Box>
    </Flex>
  );
}

/** A pipe of this level not practiced on here yet. */
const nextSeed = (scores: readonly Score[], level: number) =>
  Math.max(firstSeed, ...scores.filter((score) => score.level === level).map(({ seed }) => seed + 1));

interface WhoProps {
  readonly name: string;
  readonly setName: (name: string) => void;
  /** The first job, with hints. */
  readonly onFirst: () => void;
}

const WhoPractices = ({ name, setName, onFirst }: WhoProps) => (
  <Flex gap="4" wrap="wrap" align="end" mb="4">
    <Box width="240px">
      <Label htmlFor="practice-name">Your name, for your scores</Label>
      <Field
        id="practice-name"
        value={name}
        autoComplete="name"
        onChange={(event) => {
          setName(event.target.value);
          savePracticeName(event.target.value.trim());
        }}
      />
    </Box>
    <Press
      type="button"
      look="signal"
      onClick={() => {
        saveHintsDone(false);
        onFirst();
      }}
    >
      First job, with hints (10 minutes)
    </Press>
  </Flex>
);

function LevelRow({
  level: { level, name, asks },
  best,
  times,
  onBegin,
}: {
  level: Level;
  best: number;
  times: number;
  onBegin: () => void;
}) {
  return (
    <Flex gap="4" py="3" borderTop="1px solid" borderColor="rule" align="center" wrap="wrap">
      <Text fontFamily="heading" fontWeight={800} fontSize="28px" width="34px" aria-hidden>
        {level}
      </Text>
      <Box flex="1" minWidth="240px">
        <Title size="part">
          Level {level}: {name}
        </Title>
        <Note>{asks}</Note>
      </Box>
      <Text width="130px" fontSize="14.5px">
        {times === 0 ? 'not tried yet' : `best ${best} of 100, ${times === 1 ? 'once' : `${times} times`}`}
      </Text>
      <Press type="button" aria-label={`Begin level ${level}`} onClick={onBegin}>
        Begin
      </Press>
    </Flex>
  );
}

interface RecordProps {
  readonly name: string;
  readonly scores: readonly Score[];
  readonly onAgain: (level: Level['level'], seed: number) => void;
}

function Record({ name, scores, onAgain }: RecordProps) {
  const recordPdf = async () => {
    const { practicePdf } = await import('../documents/make');
    return practicePdf({ name, scores });
  };
  return (
    <Box mt="6" data-testid="practice-record">
      <Flex justify="space-between" align="center" wrap="wrap" gap="3">
        <Title size="section">What {name === '' ? 'was' : `${name} has`} practiced</Title>
        <SaveButton name={`practice-${fileName(name) || 'record'}.pdf`} make={recordPdf}>
          Record as PDF
        </SaveButton>
      </Flex>
      <ScoreChart scores={scores} />
      <Box overflowX="auto" position="relative">
        <Box as="table" width="100%" borderCollapse="collapse">
          <thead>
            <tr>
              <Head>When</Head>
              <Head>Level</Head>
              <Head>Score</Head>
              <Head>Found</Head>
              <Head>Missed</Head>
              <Head>Not there</Head>
              <Head />
            </tr>
          </thead>
          <tbody>
            {[...scores].reverse().map((score) => (
              <ScoreRow key={score.at} score={score} onAgain={onAgain} />
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
}

function ScoreRow({ score, onAgain }: { score: Score } & Pick<RecordProps, 'onAgain'>) {
  return (
    <Box as="tr" borderTop="1px solid" borderColor="rule">
      <Cell whiteSpace="nowrap">{dayAndTime(score.at)}</Cell>
      <Cell>{score.level}</Cell>
      <Cell fontWeight={700}>{score.score}</Cell>
      <Cell>{score.found}</Cell>
      <Cell>{score.missed}</Cell>
      <Cell>{score.invented}</Cell>
      <Cell>
        <Press
          type="button"
          look="quiet"
          whiteSpace="nowrap"
          aria-label={`Open the pipe of ${dayAndTime(score.at)} again`}
          onClick={() => {
            onAgain(score.level, score.seed);
          }}
        >
          Open it again
        </Press>
      </Cell>
    </Box>
  );
}
