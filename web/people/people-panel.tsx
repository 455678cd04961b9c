import { Box, Flex, Text } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ComponentProps, type SubmitEvent } from 'react';
import type { ListedPerson, Person } from '../../server/people/people.js';
import { api, bodyOf, write } from '../api/client';
import { useMe } from '../api/me';
import { Choice, Field, Label, Press } from '../controls/controls';
import { clockTime } from '../controls/format';
import { LabeledField } from '../controls/labeled-field';
import { faultOf, roleWords } from './role-words';
import { Alarm, Note, Title } from '../controls/text';

type Role = Person['role'];
const key = ['people'] as const;
const roles = Object.keys(roleWords) as Role[];

/** Requests about a person; after any of them the list is fetched again. */
type Asked =
  | { readonly add: { readonly name: string; readonly role: Role; readonly passphrase: string } }
  | { readonly change: string; readonly to: { readonly role?: Role; readonly passphrase?: string } }
  | { readonly remove: string };

const send = async (asked: Asked): Promise<unknown> => {
  if ('add' in asked) return write('POST', '/api/people', asked.add);
  if ('change' in asked) return write('PUT', `/api/people/${asked.change}`, asked.to);
  return bodyOf(await api.people[':id'].$delete({ param: { id: asked.remove } }));
};

/** Who may sign in from other machines, and their roles. */
export function PeoplePanel() {
  const client = useQueryClient();
  const { person: me } = useMe();
  const people = useQuery({
    queryKey: key,
    queryFn: async () => bodyOf<ListedPerson[]>(await api.people.$get()),
    staleTime: 0,
  });
  const { mutateAsync, error, reset } = useMutation({
    mutationFn: send,
    onSuccess: () => client.invalidateQueries({ queryKey: key }),
  });
  if (!people.data) return null;
  const ask: Ask = (asked) =>
    mutateAsync(asked).then(
      () => true,
      () => false,
    );
  return (
    <Box mb="6" maxWidth="780px" data-testid="people">
      <Title size="section">People</Title>
      <Text my="2">
        {people.data.length === 0
          ? 'No sign-in: only this machine can connect. To share the jobs, add people here, then set up an address for the shop (docs/operations.md).'
          : 'They sign in at the shop’s own address. Nobody signs in on this machine itself.'}
      </Text>
      {people.data.map((each) => (
        <PersonRow key={each.id} person={each} isMe={each.id === me?.id} ask={ask} />
      ))}
      {error && (
        <Flex role="alert" gap="3" align="center" color="signalInk" fontWeight={700}>
          <Text flex="1">{faultOf(error)}</Text>
          <Press type="button" look="quiet" onClick={reset}>
            Close
          </Press>
        </Flex>
      )}
      <NewPerson ask={ask} first={people.data.length === 0} />
    </Box>
  );
}

/** Resolves to whether it succeeded; an objection is shown in the panel. */
type Ask = (asked: Asked) => Promise<boolean>;

interface RowProps {
  readonly person: ListedPerson;
  readonly isMe: boolean;
  readonly ask: Ask;
}

function PersonRow({ person, isMe, ask }: RowProps) {
  const [asked, setAsked] = useState(false);
  return (
    <Box borderTop="1px solid" borderColor="rule" py="2">
      <Flex gap="3" align="center" wrap="wrap">
        <Who person={person} isMe={isMe} />
        <RoleChoice
          aria-label={`Role of ${person.name}`}
          width="150px"
          value={person.role}
          onChoose={(role) => {
            void ask({ change: person.id, to: { role } });
          }}
        />
        <Press
          type="button"
          aria-label={`New passphrase for ${person.name}`}
          aria-expanded={asked}
          onClick={() => {
            setAsked(!asked);
          }}
        >
          New passphrase
        </Press>
        <Press
          type="button"
          look="quiet"
          aria-label={`Take ${person.name} off the list`}
          onClick={() => {
            if (window.confirm(`${person.name} can no longer sign in. The history keeps the name.`))
              void ask({ remove: person.id });
          }}
        >
          Remove
        </Press>
      </Flex>
      {asked && (
        <NewPassphrase
          name={person.name}
          onSet={(passphrase) =>
            void ask({ change: person.id, to: { passphrase } }).then((done) => {
              if (done) setAsked(false);
            })
          }
        />
      )}
    </Box>
  );
}

const Who = ({ person, isMe }: Omit<RowProps, 'ask'>) => (
  <Box flex="1" minWidth="160px">
    <Text fontWeight={700} overflowWrap="anywhere">
      {person.name}
      {isMe ? ' (you)' : ''}
    </Text>
    <Note size="small">{roleWords[person.role].says}</Note>
    {person.lockedUntil && (
      <Alarm fontSize="14px">
        Locked until {clockTime(person.lockedUntil)}: too many wrong passphrases. A new one unlocks it.
      </Alarm>
    )}
  </Box>
);

function NewPassphrase({ name, onSet }: { name: string; onSet: (passphrase: string) => void }) {
  const [passphrase, setPassphrase] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onSet(passphrase);
      }}
    >
      <Flex gap="2" mt="2" wrap="wrap">
        <Field
          aria-label={`The new passphrase for ${name}`}
          autoComplete="new-password"
          autoFocus
          flex="1"
          minWidth="220px"
          value={passphrase}
          onChange={({ target }) => {
            setPassphrase(target.value);
          }}
        />
        <Press type="submit" look="signal">
          Set it
        </Press>
      </Flex>
    </form>
  );
}

interface RoleChoiceProps extends Omit<ComponentProps<typeof Choice>, 'onChange'> {
  readonly onChoose: (role: Role) => void;
}

const RoleChoice = ({ onChoose, ...choice }: RoleChoiceProps) => (
  <Choice
    {...choice}
    onChange={({ target }) => {
      onChoose(target.value as Role);
    }}
  >
    {roles.map((role) => (
      <option key={role} value={role}>
        {roleWords[role].name}
      </option>
    ))}
  </Choice>
);

function NewPerson({ ask, first }: { ask: Ask; first: boolean }) {
  const blank = { name: '', role: first ? 'owner' : 'crew', passphrase: '' } as const;
  const [said, setSaid] = useState<{ name: string; role: Role; passphrase: string }>(blank);
  const submit = (event: SubmitEvent) => {
    event.preventDefault();
    void ask({ add: said }).then((done) => {
      if (done) setSaid({ ...said, name: '', passphrase: '' });
    });
  };
  return (
    <form onSubmit={submit}>
      <Flex gap="3" mt="3" align="flex-end" wrap="wrap" borderTop="1px solid" borderColor="rule" pt="3">
        <LabeledField
          id="person-name"
          label="Person’s name"
          flex="1"
          minWidth="160px"
          required
          maxLength={80}
          autoComplete="off"
          value={said.name}
          onChange={(name) => {
            setSaid({ ...said, name });
          }}
        />
        <Box width="150px">
          <Label htmlFor="person-role">Role</Label>
          <RoleChoice
            id="person-role"
            value={said.role}
            onChoose={(role) => {
              setSaid({ ...said, role });
            }}
          />
        </Box>
        <LabeledField
          id="person-passphrase"
          label="Passphrase, at least 12 characters"
          flex="1"
          minWidth="220px"
          required
          autoComplete="new-password"
          placeholder="four or five odd words"
          value={said.passphrase}
          onChange={(passphrase) => {
            setSaid({ ...said, passphrase });
          }}
        />
        <Press type="submit" look="signal">
          Add
        </Press>
      </Flex>
    </form>
  );
}
