import { Text, View } from '@react-pdf/renderer';
import { levels } from '../../core/practice/invent.js';
import { sayDay } from '../../core/days.js';

import type { Score } from '../practice/storage.js';
import { Cells, inFont, Paper, styles } from './paper';

/** A one-page record of practice; it claims nothing more. */
export function PracticeDocument({ name, scores }: { name: string; scores: readonly Score[] }) {
  const days = [...new Set(scores.map(({ at }) => at.slice(0, 10)))].sort();
  const [first, last] = [days[0], days.at(-1)];
  return (
    <Paper title="Practice record" from={{}} of={name}>
      <Text style={styles.h1}>{inFont(name === '' ? 'Practice record' : name)}</Text>
      <Text style={styles.soft}>
        {first === undefined || last === undefined
          ? ''
          : first === last
            ? sayDay(first)
            : `${sayDay(first)} to ${sayDay(last)}`}
      </Text>
      <Text style={styles.h2}>Practiced reading a camera on invented pipes</Text>
      <Levels scores={scores} />
      <Text style={styles.h2}>Each practice</Text>
      <EachPractice scores={scores} />
      <View style={styles.caution}>
        <Text>
          This sheet records practice on a screen and nothing more. It is not a license, a certificate or
          proof of work in a real sewer. The score counts what was found, where, and how it was described, by
          the rules of this practice.
        </Text>
      </View>
    </Paper>
  );
}

interface ScoresProps {
  readonly scores: readonly Score[];
}

/** How often each level was practiced, and the scores. */
const Levels = ({ scores }: ScoresProps) => (
  <>
    <Cells bold shares={[4, 1, 1, 1.4]} right={[1, 2, 3]} cells={['Level', 'Times', 'Best', 'Last']} />
    {levels
      .map(({ level, name: words }) => ({
        level,
        words,
        own: scores.filter((score) => score.level === level),
      }))
      .filter(({ own }) => own.length > 0)
      .map(({ level, words, own }) => (
        <Cells
          key={level}
          shares={[4, 1, 1, 1.4]}
          right={[1, 2, 3]}
          cells={[
            `${level}: ${words}`,
            String(own.length),
            String(Math.max(...own.map(({ score }) => score))),
            String(own.at(-1)?.score ?? ''),
          ]}
        />
      ))}
  </>
);

const EachPractice = ({ scores }: ScoresProps) => (
  <>
    <Cells
      bold
      shares={[3, 1, 1, 1, 1, 1]}
      right={[1, 2, 3, 4, 5]}
      cells={['Day', 'Level', 'Score', 'Found', 'Missed', 'Not there']}
    />
    {scores.map((score) => (
      <Cells
        key={score.at}
        shares={[3, 1, 1, 1, 1, 1]}
        right={[1, 2, 3, 4, 5]}
        cells={[
          sayDay(score.at.slice(0, 10)),
          String(score.level),
          String(score.score),
          String(score.found),
          String(score.missed),
          String(score.invented),
        ]}
      />
    ))}
  </>
);
