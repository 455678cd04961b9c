import { Flex, Text } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { KeptBackup } from '../../server/storage/backup.js';
import { api, bodyOf } from '../api/client';
import { Press } from '../controls/controls';
import { dayAndTime } from '../controls/format';

const key = ['backups'] as const;
/** A day and a few hours: the daily backup is late. */
const late_ms = 30 * 3_600_000;

/** When the data was last backed up, with a warning where that is long ago, and a button to do it now. */
export function Backups() {
  const client = useQueryClient();
  const kept = useQuery({
    queryKey: key,
    queryFn: async () => bodyOf<KeptBackup[]>(await api.backups.$get()),
    staleTime: 0,
  });
  const make = useMutation({
    mutationFn: async () => bodyOf<KeptBackup>(await api.backups.$post()),
    onSuccess: () => client.invalidateQueries({ queryKey: key }),
  });
  if (!kept.data) return null;
  const [newest] = kept.data;
  const late = newest !== undefined && kept.dataUpdatedAt - new Date(newest.at).getTime() > late_ms;
  return (
    <Flex gap="3" wrap="wrap" align="center" mb="4">
      <Text role="status" color={newest && !late ? undefined : 'signalInk'}>
        {newest
          ? `Last backup: ${dayAndTime(newest.at)}. One is made every day next to the data and kept for 14 days. Copy them to another disk.`
          : 'No backup yet: the first is made within an hour of starting.'}
      </Text>
      <Press
        type="button"
        disabled={make.isPending}
        onClick={() => {
          make.mutate();
        }}
      >
        {make.isPending ? 'Backing up…' : 'Back up now'}
      </Press>
      {make.error && <Text role="alert">The backup was not made: {make.error.message}</Text>}
    </Flex>
  );
}
