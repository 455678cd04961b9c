import { Box, Flex, Text } from '@chakra-ui/react';
import { useState, type SubmitEvent } from 'react';
import type { Person } from '../../server/people/people.js';
import { asError, write } from '../api/client';
import { signOut } from '../api/me';
import { useOutbox } from '../api/outbox';
import { Press } from '../controls/controls';
import { LabeledField } from '../controls/labeled-field';
import { faultOf, roleWords } from './role-words';
import { Alarm, Note } from '../controls/text';

/** Role of the signed-in user, changing the passphrase, signing out. */
export const MePanel = ({ person }: { person: Person }) => (
  <Box
    position="absolute"
    top="60px"
    right="0"
    zIndex={30}
    width="300px"
    bg="sheet"
    border="1.5px solid"
    borderColor="ink"
    p="4"
  >
    <Text fontWeight={700} overflowWrap="anywhere">
      {person.name}
    </Text>
    <Note mb="3">{roleWords[person.role].says}</Note>
    <NewPassphrase name={person.name} />
    <SignOut />
  </Box>
);

function SignOut() {
  const waiting = useOutbox().length;
  const [failed, setFailed] = useState<string>();
  const leave = () => {
    const ask = `${waiting === 1 ? 'One change is' : `${waiting} changes are`} not saved yet. They stay on this device and are sent under the next name that signs in. Sign out?`;
    if (waiting > 0 && !window.confirm(ask)) return;
    signOut().catch((error: unknown) => {
      setFailed(asError(error).message);
    });
  };
  return (
    <>
      <Press type="button" width="100%" mt="3" onClick={leave}>
        Sign out
      </Press>
      {failed && (
        <Alarm role="alert" mt="2">
          Not signed out: {failed}
        </Alarm>
      )}
    </>
  );
}

function NewPassphrase({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  const toggle = () => {
    setOpen(!open);
  };
  return open ? (
    <PassphraseForm name={name} onClose={toggle} />
  ) : (
    <Press type="button" width="100%" onClick={toggle}>
      New passphrase
    </Press>
  );
}

function PassphraseForm({ name, onClose }: { name: string; onClose: () => void }) {
  const [was, setWas] = useState('');
  const [next, setNext] = useState('');
  const [said, setSaid] = useState<string>();
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    write('PUT', '/api/me/passphrase', { was, set: next })
      .then(() => {
        setSaid('Changed. Other browsers have to sign in again.');
        setWas('');
        setNext('');
      })
      .catch((error: unknown) => {
        setSaid(faultOf(error));
      });
  };
  return (
    <form onSubmit={submit}>
      <input type="hidden" autoComplete="username" value={name} readOnly />
      <LabeledField
        id="passphrase-was"
        label="The passphrase you have"
        type="password"
        autoComplete="current-password"
        value={was}
        onChange={setWas}
      />
      <LabeledField
        id="passphrase-next"
        label="The new one"
        mt="3"
        type="password"
        autoComplete="new-password"
        value={next}
        onChange={setNext}
      />
      {said && (
        <Text role="status" mt="2" fontSize="14px">
          {said}
        </Text>
      )}
      <Flex gap="2" mt="3">
        <Press type="submit" look="signal" flex="1">
          Change it
        </Press>
        <Press type="button" look="quiet" onClick={onClose}>
          Close
        </Press>
      </Flex>
    </form>
  );
}
