import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { Choice, Label, Press } from '../controls/controls';
import { counterOf } from '../log/entries';
import { tellReel, type ReelState } from './reel';
import { ReelPicture } from '../picture/reel-picture';
import type { LineView } from '../../core/views/line-view.js';

/** One step of the cable, ft; held with Shift it goes faster. */
export const step_ft = 0.2;
export const stride_ft = 2;

interface Props {
  readonly reel: ReelState;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly onStamp: () => void;
  readonly onLocate: () => void;
}

/** The reel beside the log: its picture, its counter, and the cable pushed and pulled from the screen. */
export function ReelPanel({ reel, lineView, runId, onStamp, onLocate }: Props) {
  const simulated = reel.name === 'simulated';
  const place =
    reel.reading_ft === undefined ? undefined : counterOf(lineView, runId)?.place(reel.reading_ft);
  const [pipeId, access, direction] = reel.at?.split(' ') ?? [];
  const enter = (more: { pipe?: string; access?: string; direction?: string }) => {
    const pipe = more.pipe ?? pipeId ?? '';
    const way =
      more.access ?? (more.pipe ? reel.pipes.find(({ id }) => id === more.pipe)?.accesses[0] : access) ?? '';
    void tellReel(`enter ${pipe} ${way} ${more.direction ?? direction ?? 'downstream'}`);
  };
  return (
    <Box mb="3">
      {reel.picture && (
        <ReelPicture picture={reel.picture} reading_ft={reel.reading_ft ?? 0} simulated={simulated} />
      )}
      <Flex align="baseline" gap="2" mt="2">
        <Text fontFamily="heading" fontWeight={800} fontSize="44px" lineHeight="1" data-testid="counter">
          {reel.reading_ft?.toFixed(1) ?? '–'}
        </Text>
        <Text color="soft">ft at the counter</Text>
        <Text ml="auto" textAlign="right">
          {place !== undefined && (
            <>
              <strong>{place.toFixed(1)} ft</strong> on the line
            </>
          )}
        </Text>
      </Flex>
      {(reel.stopped ?? reel.fault) && (
        <Text color="signalInk" role="status">
          {reel.stopped ? `Goes no further: ${reel.stopped}` : reel.fault}
        </Text>
      )}
      {simulated && (
        <Grid templateColumns="repeat(3, 1fr)" gap="2" mt="2">
          <Press type="button" px="1" onClick={() => void tellReel(`move ${stride_ft}`)}>
            Push
          </Press>
          <Press type="button" px="1" onClick={() => void tellReel(`move ${-stride_ft}`)}>
            Pull
          </Press>
          <Press
            type="button"
            px="1"
            onClick={() => void tellReel(`move ${-step_ft}`)}
            aria-label="Pull a little"
          >
            Pull ⅕
          </Press>
        </Grid>
      )}
      <Grid templateColumns="repeat(3, 1fr)" gap="2" mt="2">
        <Press type="button" px="1" onClick={onStamp}>
          Stamp
        </Press>
        <Press type="button" px="1" onClick={() => void tellReel('zero')}>
          Zero
        </Press>
        <Press type="button" px="1" onClick={onLocate}>
          Locate
        </Press>
      </Grid>
      {simulated && (
        <Box mt="2" display="grid" gap="2">
          <Text fontSize="13px" color="soft">
            Simulated reel and locator on an invented pipe. Arrow keys push and pull while the line is empty,
            with Shift faster.
          </Text>
          <Box>
            <Label htmlFor="reel-pipe">Simulated pipe</Label>
            <Choice
              id="reel-pipe"
              value={pipeId ?? ''}
              onChange={(event) => {
                enter({ pipe: event.target.value });
              }}
            >
              {reel.pipes.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Choice>
          </Box>
          <Flex gap="2">
            <Choice
              aria-label="Simulated access point"
              value={access ?? ''}
              onChange={(event) => {
                enter({ access: event.target.value });
              }}
            >
              {reel.pipes
                .find(({ id }) => id === pipeId)
                ?.accesses.map((id) => (
                  <option key={id} value={id}>
                    in at {id}
                  </option>
                ))}
            </Choice>
            <Choice
              aria-label="Simulated direction"
              value={direction ?? 'downstream'}
              onChange={(event) => {
                enter({ direction: event.target.value });
              }}
            >
              <option value="downstream">toward the street</option>
              <option value="upstream">toward the house</option>
            </Choice>
          </Flex>
        </Box>
      )}
    </Box>
  );
}
