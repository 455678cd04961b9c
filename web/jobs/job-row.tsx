import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { Download, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import type { JobRow as Row } from '../../server/jobs/digests.js';
import { useSeesPrices } from '../api/me';
import { Press } from '../controls/controls';
import { sayDay } from '../../core/days.js';
import { dayAndTime, money, verdictWords } from '../controls/format';
import { missingOf } from './find';
import { Alarm, Note } from '../controls/text';

const reasons: Record<string, string> = {
  backup: 'backup',
  purchase: 'purchase',
  'follow-up': 'follow-up',
  planned: 'planned work',
};

const RowLink = chakra(Link, {
  base: {
    display: 'grid',
    gridTemplateColumns: { base: '1fr auto', md: 'minmax(220px, 2fr) 1fr 1.2fr 1fr' },
    gap: { base: '1', md: '4' },
    alignItems: 'center',
    flex: 1,
    minHeight: '72px',
    py: '3',
    px: '2',
    color: 'ink',
    textDecoration: 'none',
    _hover: { bg: 'sheet' },
  },
});

interface Props {
  readonly row: Row;
  readonly today: string;
  /** Stable between renders, so that a row is rendered again only when it changed. */
  readonly onExport: (row: Row) => void;
  readonly onDelete: (row: Row) => void;
}

/** One job of the list: its name, verdict, what is missing or due, and price. */
export const JobRow = memo(function JobRow({ row, today, onExport, onDelete }: Props) {
  const seesPrices = useSeesPrices();
  const { digest } = row;
  const due = digest?.due.find(({ from }) => from <= today);
  const verdict = verdictOf(digest);
  return (
    <Flex as="li" borderBottom="1px solid" borderColor="rule" align="stretch">
      <RowLink to={`/jobs/${row.id}/${seesPrices ? 'sheet' : 'log'}`}>
        <Box minWidth={0}>
          <Text fontFamily="heading" fontWeight={700} fontSize="17px">
            {row.title}
          </Text>
          <Note size="small">
            {[row.customer, row.reason && reasons[row.reason]].filter(Boolean).join(' · ')}
          </Note>
        </Box>
        <Text fontFamily="heading" fontWeight={700} color={verdict.presses ? 'signalInk' : 'ink'}>
          {verdict.words}
        </Text>
        <Box fontSize="14px" color="soft">
          <Text>{digest ? missingOf(digest) : row.fresh ? 'cannot be worked out' : 'being worked out'}</Text>
          {due && (
            <Alarm strong>
              {due.what === 'clean' ? 'Cleaning' : 'Inspection'} due {due.to < today ? 'since' : 'by'}{' '}
              {sayDay(due.to)}
            </Alarm>
          )}
        </Box>
        <Box textAlign={{ md: 'right' }}>
          <Text fontWeight={700}>{seesPrices ? priceOf(digest) : ''}</Text>
          <Note size="fine">
            {digest?.accepted ? `accepted ${sayDay(digest.accepted.on)}` : dayAndTime(row.changedAt)}
          </Note>
        </Box>
      </RowLink>
      {seesPrices && <RowPresses row={row} onExport={onExport} onDelete={onDelete} />}
    </Flex>
  );
});

const RowPresses = ({ row, onExport, onDelete }: Omit<Props, 'today'>) => (
  <Flex align="center">
    <Press
      look="quiet"
      type="button"
      onClick={() => {
        onExport(row);
      }}
      aria-label={`Export ${row.title} as a job file`}
      title="Export as a job file"
    >
      <Download size={19} />
    </Press>
    <Press
      look="quiet"
      type="button"
      aria-label={`Delete ${row.title}`}
      title="Delete; it can be brought back for 30 days"
      onClick={() => {
        onDelete(row);
      }}
    >
      <Trash2 size={19} />
    </Press>
  </Flex>
);

type Digest = Row['digest'];

/** A job's verdict in a word, and whether something is urgent. */
function verdictOf(digest: Digest): { words: string; presses: boolean } {
  const worst = digest?.verdict[0];
  if (digest?.repair === 'whole') return { words: 'Repaired', presses: false };
  return {
    words: digest?.repair === 'part' ? 'Partly repaired' : ((worst && verdictWords[worst]) ?? '…'),
    presses: ['blocked', 'urgent', 'repair'].includes(worst ?? ''),
  };
}

/** The accepted price, else that of the current scope. */
function priceOf(digest: Digest): string {
  if (!digest) return '';
  if (digest.accepted) return money(digest.accepted.total, digest.currency);
  if (digest.nothingSeen) return '–';
  return digest.feasible ? money(digest.total, digest.currency) : 'not possible';
}
