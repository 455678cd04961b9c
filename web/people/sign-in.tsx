import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { asError } from '../api/client';
import { signIn, useSignedOut } from '../api/me';
import { useOutbox } from '../api/outbox';
import { Press } from '../controls/controls';
import { LabeledField } from '../controls/labeled-field';
import { Header } from '../shell/header';

/** The pages, once the server knows the user. What was typed before is kept and waits. */
export function Gate({ children }: { children: ReactNode }) {
  return useSignedOut() ? <SignIn /> : children;
}

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

function SignIn() {
  const waiting = useOutbox().filter(({ state }) => state === 'waiting').length;
  return (
    <Flex direction="column" minHeight="100%">
      <Header />
      <Box as="main" width="100%" maxWidth="420px" mx="auto" px="4" py="8">
        <Heading as="h1" fontSize="30px" lineHeight="1.1" mb="4">
          Sign in
        </Heading>
        {waiting > 0 && (
          <Text mb="4" color="signalInk" fontWeight={700} role="status">
            {waiting === 1 ? 'One change waits' : `${waiting} changes wait`} on this device. They go in under
            the name that signs in next.
          </Text>
        )}
        <SignInForm />
        <Text mt="5" color="soft">
          Forgotten it? Whoever runs this for the company gives you a new one, on the Company page.
        </Text>
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
        <Text mt="4" role="alert" color="signalInk" fontWeight={700}>
          {refused}.
        </Text>
      )}
      <Press type="submit" look="signal" mt="5" width="100%" disabled={busy}>
        {busy ? 'Signing in…' : 'Sign in'}
      </Press>
    </form>
  );
}
