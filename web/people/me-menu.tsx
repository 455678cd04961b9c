import { Box } from '@chakra-ui/react';
import { CircleUserRound } from 'lucide-react';
import { useRef, useState } from 'react';
import { useMe } from '../api/me';
import { IconPress } from '../controls/controls';
import { lazyPart } from '../shell/lazy-part';

// Loaded when it is first opened.
const MePanel = lazyPart('me', async () => (await import('./me-panel')).MePanel);

/** The signed-in user: their role, changing the passphrase, signing out. Absent where nobody signs in. */
export function MeMenu() {
  const { person } = useMe();
  const [open, setOpen] = useState(false);
  const press = useRef<HTMLButtonElement>(null);
  if (!person) return null;
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
