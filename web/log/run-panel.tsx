import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { capital } from '../../core/capital.js';
import type { Line, Run } from '../../core/job/schema.js';
import { runHead, lineHead } from '../../core/edits/index.js';
import { sayClock } from '../../core/speech/say.js';
import { wrapClock } from '../../core/survey/clock.js';
import type { Change } from '../api/job';
import { Label, Press } from '../controls/controls';
import { LabeledChoice } from '../controls/labeled-choice';
import { NumberCell } from '../site/cells';
import { ButtonChoice } from './button-choice';
import type { LineView } from '../../core/views/line-view.js';

interface Props {
  readonly line: Line;
  readonly run: Run;
  readonly lineView: LineView | undefined;
  readonly pass: 'out' | 'back';
  readonly setPass: (pass: 'out' | 'back') => void;
  readonly waterClock: number | undefined;
  readonly setWaterClock: (clock: number | undefined) => void;
  readonly change: Change;
}

const zeroWords = {
  cap: 'at the cap',
  pipe: 'in the level pipe',
  reading: 'at a noted reading',
  unknown: 'nobody knows where',
};

/** The current pass. */
export const PassChoice = ({
  pass,
  setPass,
  tight,
}: Pick<Props, 'pass' | 'setPass'> & { tight?: boolean }) => (
  <ButtonChoice
    aria-label="Which pass is being read"
    flex="2"
    chosen={pass}
    words={{ out: 'Pushing out', back: 'Pulling back' }}
    onChoose={setPass}
    tight={tight ?? false}
  />
);

/** The current pass, the rotation of the picture, and where this run's counter was zeroed. */
export function RunPanel({ line, run, lineView, pass, setPass, waterClock, setWaterClock, change }: Props) {
  const untied = lineView?.untied.find((each) => each.run === run.id);
  return (
    <Box>
      <Box display={{ base: 'none', md: 'block' }} mb="4">
        <PassChoice pass={pass} setPass={setPass} />
      </Box>
      <WaterClock waterClock={waterClock} setWaterClock={setWaterClock} />
      <Access line={line} run={run} change={change} />
      {untied && (
        <Box role="alert" borderLeft="6px solid" borderColor="signal" bg="wash" px="3" py="2" mt="3">
          {capital(untied.wouldTie)}. Until then it is kept, and the rest is scoped.
        </Box>
      )}
    </Box>
  );
}

/** Rotation of the picture, by where the water shows in it. */
export function WaterClock({ waterClock, setWaterClock }: Pick<Props, 'waterClock' | 'setWaterClock'>) {
  return (
    <Flex gap="4" align="center" mb="4">
      <Dial water={waterClock ?? 6} />
      <Box fontSize="14.5px">
        <Text>
          {waterClock === undefined || waterClock === 6 ? (
            'Water shows at six, so the picture is upright.'
          ) : (
            <>
              Water shows <strong>{sayClock(waterClock)}</strong>, so the picture is rotated. Clock positions
              are corrected.
            </>
          )}
        </Text>
        <Flex gap="2" mt="2">
          <Press
            type="button"
            aria-label="Water half an hour back"
            onClick={() => {
              setWaterClock(wrapClock((waterClock ?? 6) - 0.5));
            }}
            minWidth="44px"
            px="2"
          >
            ↶
          </Press>
          <Press
            type="button"
            aria-label="Water half an hour on"
            onClick={() => {
              setWaterClock(wrapClock((waterClock ?? 6) + 0.5));
            }}
            minWidth="44px"
            px="2"
          >
            ↷
          </Press>
          <Press
            type="button"
            look="quiet"
            onClick={() => {
              setWaterClock(undefined);
            }}
          >
            upright
          </Press>
        </Flex>
      </Box>
    </Flex>
  );
}

function Dial({ water }: { water: number }) {
  const angle = (water / 12) * 360;
  return (
    <chakra.svg
      viewBox="0 0 72 72"
      width="76px"
      height="76px"
      flexShrink={0}
      role="img"
      aria-label={`Water ${sayClock(water)}`}
    >
      <circle
        cx="36"
        cy="36"
        r="34"
        fill="var(--chakra-colors-sheet)"
        stroke="var(--chakra-colors-ink)"
        strokeWidth="2"
      />
      <g transform={`rotate(${angle} 36 36)`}>
        <path d="M36 36 L20 7 A33 33 0 0 1 52 7 Z" fill="var(--chakra-colors-water)" opacity="0.45" />
      </g>
      <line x1="36" y1="36" x2="36" y2="6" stroke="var(--chakra-colors-signal)" strokeWidth="2.5" />
      <circle cx="36" cy="36" r="3.5" fill="var(--chakra-colors-ink)" />
    </chakra.svg>
  );
}

/** Access point, zero and riser, editable in place. */
function Access({ line, run, change }: Pick<Props, 'line' | 'run' | 'change'>) {
  const [open, setOpen] = useState(false);
  const point = line.points.find(({ id }) => id === run.access);
  const setRiser = (riser_ft: number | undefined) => {
    const points = line.points.map((each) => {
      if (each.id !== run.access) return each;
      const { riser_ft: _old, ...rest } = each;
      return riser_ft === undefined ? rest : { ...rest, riser_ft };
    });
    void change.say([{ kind: 'line', line: line.id, set: { ...lineHead(line), points } }]);
  };
  return (
    <Box fontSize="14.5px" color="soft">
      <Text>
        Zeroed <strong>{zeroWords[run.zero]}</strong>, riser{' '}
        <strong>{point?.riser_ft === undefined ? 'not measured' : `${point.riser_ft} ft`}</strong>. In:{' '}
        {point?.name ?? run.access}, toward the {run.direction === 'downstream' ? 'street' : 'house'}.{' '}
        <Press
          type="button"
          look="quiet"
          onClick={() => {
            setOpen(!open);
          }}
          aria-expanded={open}
          textDecoration="underline"
        >
          {open ? 'done' : 'change'}
        </Press>
      </Text>
      {open && (
        <Box mt="2" display="grid" gap="3">
          <CounterZero line={line} run={run} change={change} />
          <Box>
            <Label as="span">Cap to level pipe, ft (empty: not measured)</Label>
            <NumberCell
              label="Cap to level pipe, ft (empty: not measured)"
              measure="feet"
              least={0}
              value={point?.riser_ft}
              onChange={setRiser}
            />
          </Box>
        </Box>
      )}
    </Box>
  );
}

/**
 * Where the counter was zeroed. For a noted reading the number is requested first: until it is given, the run stays as
 * it was.
 */
function CounterZero({ line, run, change }: Pick<Props, 'line' | 'run' | 'change'>) {
  const [asking, setAsking] = useState(false);
  const setZero = (set: Pick<Run, 'zero' | 'zeroReading_ft'>) => {
    setAsking(false);
    void change.say([{ kind: 'run', line: line.id, run: run.id, set: { ...runHead(run), ...set } }]);
  };
  const zero = asking ? 'reading' : run.zero;
  return (
    <>
      <LabeledChoice
        id="run-zero"
        label="Counter zeroed"
        value={zero}
        among={Object.entries(zeroWords) as [Run['zero'], string][]}
        onChoose={(chosen) => {
          if (chosen === 'reading') setAsking(run.zero !== 'reading');
          else if (chosen === run.zero) setAsking(false);
          else setZero({ zero: chosen, zeroReading_ft: undefined });
        }}
      />
      {zero === 'reading' && (
        <Box>
          <Label as="span">The counter showed, ft</Label>
          <NumberCell
            label="The counter showed, ft"
            measure="feet"
            least={0}
            value={run.zeroReading_ft}
            onChange={(zeroReading_ft) => {
              // Emptied, it keeps its value: a noted reading is a number.
              if (zeroReading_ft !== undefined) setZero({ zero: 'reading', zeroReading_ft });
            }}
          />
        </Box>
      )}
    </>
  );
}
