import { Box, Text } from '@chakra-ui/react';
import { memo } from 'react';
import type { Line } from '../../core/job/schema.js';
import { tolerance } from '../../core/units.js';
import { gradeWords } from '../../core/job/vocabulary.js';
import { sayWhat } from '../../core/speech/say.js';
import type { FindingView, LineView } from '../../core/views/line-view.js';
import { runName } from '../../core/job/run-words.js';
import { feet, videoTime } from '../controls/format';
import { shallowEqual } from '../controls/shallow-equal.js';
import type { ScopeBar } from '../drawing/scope-bars';
import { OpenFigure } from '../figure/open-figure';
import { PhotoThumbs } from '../video/photos';
import { Part } from './part';
import { Note } from '../controls/text';

interface SeenPartProps {
  readonly bar: ScopeBar;
  readonly finding: string | undefined;
  readonly lineView: LineView;
  readonly line: Line;
}

/** Findings of the bar above grade note; the one pointed at always. */
export function SeenPart({ bar, finding, lineView, line }: SeenPartProps) {
  const inside = lineView.findings.filter(
    (each) =>
      each.place.from_ft < bar.to_ft - tolerance.ft &&
      each.place.to_ft > bar.from_ft + tolerance.ft &&
      (each.grade > 0 || each.id === finding),
  );
  if (inside.length === 0) return null;
  const names = Object.fromEntries(line.runs.map((run) => [run.id, runName(run)]));
  return (
    <Part title="Seen">
      {inside.map((each) => (
        <Seen
          key={each.id}
          finding={each}
          runNames={each.readings.map(({ run }) => names[run] ?? runName({ id: run })).join('\n')}
          marked={each.id === finding}
        />
      ))}
    </Part>
  );
}

interface SeenProps {
  readonly finding: FindingView;
  /** Name of the run of each reading, a line each. */
  readonly runNames: string;
  readonly marked: boolean;
}

const Seen = memo(({ finding, runNames, marked }: SeenProps) => {
  const { judged } = finding.entry;
  const names = runNames.split('\n');
  return (
    <Box mb="2" pl="2" borderLeft="3px solid" borderColor={marked ? 'signal' : 'rule'}>
      <Text>
        <strong>{sayWhat(finding.entry)}</strong>,{' '}
        <OpenFigure figure={finding.station} label="Station">
          {feet(finding.from_ft)} ± {feet(finding.plusMinus_ft)} ft
        </OpenFigure>
        :{' '}
        <OpenFigure figure={finding.why} label="Grade">
          {gradeWords[finding.grade]}
        </OpenFigure>
        {judged && ` (the table says ${gradeWords[finding.tableGrade]})`}
      </Text>
      {finding.readings.map((reading, i) => (
        <Note size="fine" key={reading.entry}>
          {names[i]}, {reading.pass === 'out' ? 'going out' : 'coming back'}, {reading.about ? 'about ' : ''}
          {feet(reading.raw_ft)} at the counter{reading.dropped ? ', not used' : ''}
          {reading.video_s === undefined ? '' : ` ▸ ${videoTime(reading.video_s)}`}
        </Note>
      ))}
      <PhotoThumbs entry={finding.entry} what={sayWhat(finding.entry)} />
    </Box>
  );
}, shallowEqual);
