import { Box } from '@chakra-ui/react';
import { CircleUserRound } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Person } from '../../server/people/people.js';
import { IconPress } from '../controls/controls';
import { MePanel } from './me-panel';

/** The signed-in user: their role, changing the passphrase, signing out. */
export function MeMenu({ person }: { person: Person }) {
  const [open, setOpen] = useState(false);
  const press = useRef<HTMLButtonElement>(null);
  return (
    <Box
      position="relative"
      display="flex"
      alignItems="center"
      borderLeft="1px solid"
      borderColor="rule"
      onKeyDown={({ key }) => {
        if (key !== 'Escape') return;
        setOpen(false);
        press.current?.focus();
      }}
    >
      <IconPress
        ref={press}
        type="button"
        aria-label={`Signed in as ${person.name}`}
        title={`Signed in as ${person.name}`}
        aria-expanded={open}
        onClick={() => {
          setOpen(!open);
        }}
      >
        <CircleUserRound size={19} />
      </IconPress>
      {open && <MePanel person={person} />}
    </Box>
  );
}
