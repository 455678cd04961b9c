import { Box, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { wetOutAfter, type WetOut } from '../../core/liner/wet-out.js';
import type { WorkingTime } from '../../core/liner/working-time.js';
import { Press } from '../controls/controls';
import { clockTime } from '../controls/format';
import { Note } from '../controls/text';

const minute_ms = 60_000;
const words: Record<WetOut['say'], string> = {
  'in-time': 'In time',
  'put-in-now': 'Insert it now or not at all',
  'too-late': 'Past its working time: do not insert it',
};

/** Minutes and seconds, as 12:04. */
function clock(minutes: number): string {
  const seconds = Math.max(0, Math.floor(minutes * 60));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** When a liner's resin was mixed, ms, and the current time; stored in this browser across reloads. */
function useMixed(key: string) {
  const [mixedAt, setMixedAt] = useState(() => readMoment(key));
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (mixedAt === undefined) return undefined;
    const timer = setInterval(() => {
      setNow(Date.now());
    }, 500);
    return () => {
      clearInterval(timer);
    };
  }, [mixedAt]);
  const set = (moment: number | undefined) => {
    setMixedAt(moment);
    setNow(Date.now());
    try {
      if (moment === undefined) localStorage.removeItem(key);
      else localStorage.setItem(key, String(moment));
    } catch {
      // Without storage it runs as long as the page is open.
    }
  };
  return { mixedAt, now, set };
}

interface Props {
  readonly jobId: string;
  readonly liner: string;
  /** What it is and where, for display. */
  readonly name: string;
  readonly working: WorkingTime;
}

/** Countdown of a liner's resin from the moment it is mixed. */
export function WetOutClock({ jobId, liner, name, working }: Props) {
  const { mixedAt, now, set } = useMixed(`open-trench-wet-out ${jobId} ${liner}`);
  if (mixedAt === undefined) {
    return (
      <Press
        type="button"
        onClick={() => {
          set(Date.now());
        }}
      >
        {name}: resin mixed now, count down
      </Press>
    );
  }
  const wetOut = wetOutAfter(working, Math.max(0, now - mixedAt) / minute_ms);
  const startBy = mixedAt + (working.potLife.value - working.insertion.value) * minute_ms;
  const late = wetOut.say !== 'in-time';
  const color = late ? 'signalInk' : 'ink';
  return (
    <Flex
      gap="5"
      align="center"
      wrap="wrap"
      border="1.5px solid"
      borderColor={late ? 'signal' : 'ink'}
      bg="sheet"
      px="4"
      py="2"
      data-testid={`wet-out-${liner}`}
    >
      <Text fontFamily="heading" fontWeight={800} fontSize="34px" lineHeight="1" color={color}>
        {clock(wetOut.left_min)}
      </Text>
      <Box flex="1" minWidth="200px">
        <Text fontWeight={700} color={color} role="status">
          {name}: {words[wetOut.say]}
        </Text>
        <Note size="small">
          mixed at {clockTime(mixedAt)}; begin to insert by {clockTime(startBy)}
          {wetOut.startWithin_min > 0 ? `, in ${clock(wetOut.startWithin_min)}` : ''}
        </Note>
      </Box>
      <Press
        type="button"
        look="quiet"
        onClick={() => {
          set(undefined);
        }}
      >
        Stop the clock
      </Press>
    </Flex>
  );
}

function readMoment(key: string): number | undefined {
  try {
    const kept = Number(localStorage.getItem(key) ?? Number.NaN);
    return Number.isFinite(kept) ? kept : undefined;
  } catch {
    return undefined;
  }
}
