import { Text } from '@chakra-ui/react';
import type { Fault } from '../../core/job/faults.js';
import { Refused } from '../api/client';
import { Press } from '../controls/controls';
import { Callout } from '../controls/text';
import { lazyPart } from './lazy-part';

const PlainPath = ({ path }: { path: string }) => path !== '' && <strong>{path}: </strong>;
// Only where something was refused.
const PathInWords = lazyPart(
  'path in words',
  async () => {
    const { pathInWords } = await import('../../core/path-in-words.js');
    return ({ path }: { path: string }) => <PlainPath path={pathInWords(path)} />;
  },
  () => null,
);

interface FaultsProps {
  readonly error: Error;
  /** A file was refused: its own paths are where to look. */
  readonly ofFile?: boolean;
  readonly onClose?: () => void;
}

/** What was refused or unreachable, each fault with its place. */
export function Faults({ error, ofFile = false, onClose }: FaultsProps) {
  const faults: readonly Fault[] = error instanceof Refused ? error.faults : [];
  const offline = !(error instanceof Refused);
  return (
    <Callout role="alert">
      <Text fontWeight={700}>{offline ? 'The server cannot be reached' : error.message}</Text>
      {offline && <Text>Nothing was changed. Is Open Trench still running? ({error.message})</Text>}
      {faults.slice(0, 12).map(({ path, message }) => (
        <Text key={`${path} ${message}`} overflowWrap="anywhere">
          {ofFile ? <PlainPath path={path} /> : <PathInWords path={path} />}
          {message}
        </Text>
      ))}
      {faults.length > 12 && <Text>and {faults.length - 12} more</Text>}
      {onClose && (
        <Press look="quiet" onClick={onClose} type="button">
          Close
        </Press>
      )}
    </Callout>
  );
}
