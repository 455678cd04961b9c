import { Box, Flex, Text } from '@chakra-ui/react';
import { Choice, Label } from '../controls/controls';
import { counterOf } from '../log/entries';
import { sayStopped, sendToReel, type ReelState } from './reel';
import { Counter, ButtonRow, PushAndPull, StampZeroLocate } from './reel-controls';
import { ReelPicture } from '../picture/reel-picture';
import type { LineView } from '../../core/views/line-view.js';
import { Alarm, Note } from '../controls/text';

interface Props {
  readonly reel: ReelState;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly onStamp: () => void;
  readonly onLocate: () => void;
}

/** The reel beside the log: its picture, its counter, and controls to push and pull the cable. */
export function ReelPanel({ reel, lineView, runId, onStamp, onLocate }: Props) {
  const simulated = reel.name === 'simulated';
  const place =
    reel.reading_ft === undefined ? undefined : counterOf(lineView, runId)?.place(reel.reading_ft);
  return (
    <Box mb="3">
      {reel.picture && (
        <ReelPicture picture={reel.picture} reading_ft={reel.pictured_ft ?? 0} simulated={simulated} />
      )}
      <Counter reading_ft={reel.reading_ft}>
        <Text ml="auto" textAlign="right">
          {place !== undefined && (
            <>
              <strong>{place.toFixed(1)} ft</strong> on the line
            </>
          )}
        </Text>
      </Counter>
      {(reel.stopped ?? reel.fault) && (
        <Alarm role="status">{reel.stopped ? sayStopped(reel.stopped) : reel.fault}</Alarm>
      )}
      {simulated && (
        <ButtonRow>
          <PushAndPull push={(by_ft) => void sendToReel(`move ${by_ft}`)} />
        </ButtonRow>
      )}
      <ButtonRow>
        <StampZeroLocate stamp={onStamp} zero={() => void sendToReel('zero')} locate={onLocate} />
      </ButtonRow>
      {simulated && <Simulated reel={reel} />}
    </Box>
  );
}

/** The simulated head's pipe, and its access point. */
function Simulated({ reel: { at, pipes } }: { reel: ReelState }) {
  const [pipeId = '', access = '', direction = 'downstream'] = at?.split(' ') ?? [];
  const accesses = (id: string) => pipes.find((pipe) => pipe.id === id)?.accesses ?? [];
  const enter = (...words: readonly string[]) => void sendToReel(['enter', ...words].join(' '));
  return (
    <Box mt="2" display="grid" gap="2">
      <Note size="fine">
        Simulated reel and locator on an invented pipe. Arrow keys push and pull while the line is empty, with
        Shift faster.
      </Note>
      <Box>
        <Label htmlFor="reel-pipe">Simulated pipe</Label>
        <Choice
          id="reel-pipe"
          value={pipeId}
          onChange={({ target: { value } }) => {
            enter(value, accesses(value)[0] ?? '', direction);
          }}
        >
          {pipes.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Choice>
      </Box>
      <Flex gap="2">
        <Choice
          aria-label="Simulated access point"
          value={access}
          onChange={({ target: { value } }) => {
            enter(pipeId, value, direction);
          }}
        >
          {accesses(pipeId).map((id) => (
            <option key={id} value={id}>
              in at {id}
            </option>
          ))}
        </Choice>
        <Choice
          aria-label="Simulated direction"
          value={direction}
          onChange={({ target: { value } }) => {
            enter(pipeId, access, value);
          }}
        >
          <option value="downstream">toward the street</option>
          <option value="upstream">toward the house</option>
        </Choice>
      </Flex>
    </Box>
  );
}
