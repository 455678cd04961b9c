import { Flex, Text } from '@chakra-ui/react';
import type { Method } from '../../core/job/vocabulary.js';
import { summaryOf } from '../../core/methods/method.js';
import type { Scope } from '../../core/scope/scope.js';
import { pinsOn, type PlacedPin } from '../../core/views/pin-edits.js';
import { Press } from '../controls/controls';
import { feet } from '../controls/format';
import { otherMethods } from '../keys/method-keys';
import { Part } from './part';
import type { ScopeBar } from '../drawing/scope-bars';

interface Props {
  readonly bar: ScopeBar | undefined;
  readonly pins: readonly PlacedPin[];
  readonly methods: Scope['methods'];
  readonly onMethod: (method: Method) => void;
  readonly onJoin: () => void;
  readonly onSplit: () => void;
  readonly onLift: (pins: readonly PlacedPin[]) => void;
}

/** Choosing another method for a stretch: each press is a pin, and every pin can be removed. */
export function PinPart({ bar, pins, methods, onMethod, onJoin, onSplit, onLift }: Props) {
  const here = bar ? pinsOn(pins, bar) : pins;
  return (
    <>
      {here.length > 0 && <Pinned pins={here} {...{ methods, onLift }} />}
      {bar && (
        <Otherwise
          method={bar.method}
          isWork={bar.action !== undefined}
          {...{ methods, onMethod, onJoin, onSplit }}
        />
      )}
    </>
  );
}

interface OtherwiseProps extends Pick<Props, 'methods' | 'onMethod' | 'onJoin' | 'onSplit'> {
  readonly method: Method;
  /** Something is done here, which can be joined and split. */
  readonly isWork: boolean;
}

const Otherwise = ({ method: now, methods, isWork, onMethod, onJoin, onSplit }: OtherwiseProps) => (
  <Part title="Do something else here">
    <Flex wrap="wrap" gap="1.5">
      {otherMethods(now, methods).map(({ method, name }) => (
        <Press
          key={method}
          type="button"
          px="2.5"
          fontSize="14px"
          onClick={() => {
            onMethod(method);
          }}
        >
          {name}
        </Press>
      ))}
      {isWork && (
        <>
          <Press type="button" px="2.5" fontSize="14px" onClick={onJoin}>
            Join with next
          </Press>
          <Press type="button" px="2.5" fontSize="14px" onClick={onSplit}>
            Split
          </Press>
        </>
      )}
    </Flex>
  </Part>
);

/** The pins here, each with a button that removes it. */
const Pinned = ({ pins, methods, onLift }: Pick<Props, 'pins' | 'methods' | 'onLift'>) => (
  <Part title="Pinned">
    {pins.map((each, i) => (
      <Flex key={each.pin.id ?? i} align="center" justify="space-between" gap="2">
        <Text>{pinWords(each, methods)}</Text>
        <Press
          look="quiet"
          type="button"
          onClick={() => {
            onLift([each]);
          }}
        >
          Lift
        </Press>
      </Flex>
    ))}
    {pins.length > 1 && (
      <Press
        type="button"
        onClick={() => {
          onLift(pins);
        }}
      >
        Lift all of these
      </Press>
    )}
  </Part>
);

function pinWords({ pin, from_ft, to_ft }: PlacedPin, methods: Scope['methods']): string {
  if (pin.split) return `Split at ${feet(from_ft)} ft`;
  const where = `${feet(from_ft)} to ${feet(to_ft)} ft`;
  return pin.method === undefined
    ? `Never ${(pin.never ?? []).map((method) => summaryOf(methods, method).name.toLowerCase()).join(', ')}, ${where}`
    : `${summaryOf(methods, pin.method).name}, ${where}`;
}
