import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { asError } from '../api/client';
import { signIn } from '../api/me';
import { useOutbox } from '../api/outbox';
import { Press } from '../controls/controls';
import { LabeledField } from '../controls/labeled-field';
import { Header } from '../shell/header';
import { Alarm, Note, Title } from '../controls/text';

/** Signs in, showing progress and any failure. */
function useSignIn() {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const ask = (name: string, passphrase: string) => {
    setBusy(true);
    setRefused(undefined);
    signIn(name, passphrase)
      .catch((error: unknown) => {
        setRefused(asError(error).message);
      })
      .finally(() => {
        setBusy(false);
      });
  };
  return { busy, refused, ask };
}

/** The page of whoever is not signed in. What was typed before is kept and waits. */
export function SignIn() {
  const waiting = useOutbox().filter(({ state }) => state === 'waiting').length;
  return (
    <Flex direction="column" minHeight="100%">
      <Header />
      <Box as="main" width="100%" maxWidth="420px" mx="auto" px="4" py="8">
        <Title size="page" as="h1" mb="4">
          Sign in
        </Title>
        {waiting > 0 && (
          <Alarm strong mb="4" role="status">
            {waiting === 1 ? 'One change waits' : `${waiting} changes wait`} on this device. They are sent
            under the next name that signs in.
          </Alarm>
        )}
        <SignInForm />
        <Note mt="5">Forgotten it? An owner can give you a new one on the Company page.</Note>
      </Box>
    </Flex>
  );
}

function SignInForm() {
  const { busy, refused, ask } = useSignIn();
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        ask(name, passphrase);
      }}
    >
      <LabeledField
        id="sign-in-name"
        label="Name"
        autoComplete="username"
        autoFocus
        required
        value={name}
        onChange={setName}
      />
      <LabeledField
        id="sign-in-passphrase"
        label="Passphrase"
        mt="4"
        type="password"
        autoComplete="current-password"
        required
        value={passphrase}
        onChange={setPassphrase}
      />
      {refused && (
        <Alarm strong mt="4" role="alert">
          {refused}.
        </Alarm>
      )}
      <Press type="submit" look="signal" mt="5" width="100%" disabled={busy}>
        {busy ? 'Signing in…' : 'Sign in'}
      </Press>
    </form>
  );
}
