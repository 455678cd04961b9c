import { Box, Text } from '@chakra-ui/react';
import type { FallbackProps } from 'react-error-boundary';
import { pathInWords, type Fault } from '../../core/job/faults.js';
import { asError, Refused } from '../api/client';
import { Press } from '../controls/controls';
import { Callout, Note, Title } from '../controls/text';

/** A page or a view failed: nothing typed is lost, since the server has it. */
export function Trouble({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <Box role="alert" p="8" maxWidth="640px">
      <Title size="view" as="h1" mb="3">
        This page broke
      </Title>
      <Text mb="2">What you entered is safe: it was saved before the page said so.</Text>
      <Note mb="5">{asError(error).message}</Note>
      <Press onClick={resetErrorBoundary}>Try again</Press>
    </Box>
  );
}

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
      {faults.slice(0, 12).map(({ path, message }) => {
        const place = ofFile ? path : pathInWords(path);
        return (
          <Text key={`${path} ${message}`} overflowWrap="anywhere">
            {place && <strong>{place}: </strong>}
            {message}
          </Text>
        );
      })}
      {faults.length > 12 && <Text>and {faults.length - 12} more</Text>}
      {onClose && (
        <Press look="quiet" onClick={onClose} type="button">
          Close
        </Press>
      )}
    </Callout>
  );
}
