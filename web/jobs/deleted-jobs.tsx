import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { DeletedJob } from '../../server/jobs/deletion.js';
import { useDeletedJobs } from '../api/job-list';
import { Press } from '../controls/controls';
import { dayAndTime } from '../controls/format';
import { Note } from '../controls/text';

interface Props {
  readonly onBringBack: (job: Pick<DeletedJob, 'id'>) => void;
}

/** Below the list: jobs deleted in the last thirty days, to be restored. Absent where there are none. */
export function DeletedJobs({ onBringBack }: Props) {
  const { data = [] } = useDeletedJobs();
  const [open, setOpen] = useState(false);
  if (data.length === 0) return null;
  return (
    <Box as="section" aria-label="Deleted jobs" mt="8">
      <Press
        type="button"
        look="quiet"
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
        }}
      >
        {open ? 'Hide deleted jobs' : `Deleted in the last 30 days: ${data.length}`}
      </Press>
      {open && (
        <>
          <Heading as="h2" srOnly>
            Deleted jobs
          </Heading>
          <Box as="ul" listStyleType="none" p="0" m="0" borderTop="1px solid" borderColor="rule">
            {data.map((job) => (
              <Flex
                as="li"
                key={job.id}
                align="center"
                gap="4"
                py="2"
                px="2"
                borderBottom="1px solid"
                borderColor="rule"
              >
                <Box flex="1" minWidth="0">
                  <Text fontWeight={700} truncate>
                    {job.title}
                  </Text>
                  <Note size="small">deleted {dayAndTime(job.deletedAt)}</Note>
                </Box>
                <Press
                  type="button"
                  aria-label={`Bring back ${job.title}`}
                  onClick={() => {
                    onBringBack(job);
                  }}
                >
                  Bring back
                </Press>
              </Flex>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

/** Tells what was just deleted, with a button to undo it. */
export const JustDeleted = ({
  job,
  onBringBack,
}: Props & { readonly job: Pick<DeletedJob, 'id' | 'title'> }) => (
  <Flex
    role="status"
    align="center"
    gap="4"
    px="4"
    py="2"
    mb="4"
    border="1px solid"
    borderColor="ink"
    bg="sheet"
    wrap="wrap"
  >
    <Text flex="1" minWidth="160px">
      “{job.title}” is deleted.
    </Text>
    <Press
      type="button"
      onClick={() => {
        onBringBack(job);
      }}
    >
      Bring it back
    </Press>
  </Flex>
);
