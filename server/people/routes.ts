import { Hono, type Context } from 'hono';
import * as z from 'zod';
import { asJson, body } from '../body.js';
import { problem } from '../problem.js';
import { attempts } from './attempts.js';
import {
  addressOf,
  setToken,
  clearToken,
  tokenOf,
  type RequestEnv,
  type PublicAddress,
} from './public-address.js';
import type { People, PersonWritten } from './people.js';
import { roles } from './roles.js';
import type { Sessions, SignedIn } from './sessions.js';

/** Sign-in events, for the log its owner reads when something is wrong. */
export interface SignInEvent {
  readonly event:
    'sign-in' | 'sign-out' | 'passphrase changed' | 'person added' | 'person changed' | 'person removed';
  /** The name as typed, or the id of the person concerned. */
  readonly who: string;
  /** Who did it, where that is somebody else. */
  readonly by?: string | undefined;
  readonly from?: string;
  readonly outcome: 'done' | 'refused' | 'wrong' | 'locked' | 'too many tries';
}
export type Note = (event: SignInEvent) => void;

const nameSchema = z.string().trim().min(1, 'a person has a name').max(80);
const passphraseSchema = z.string().max(1000);
const newPersonSchema = z.strictObject({
  name: nameSchema,
  role: z.enum(roles),
  passphrase: passphraseSchema,
});
const changeSchema = z.strictObject({
  role: z.enum(roles).optional(),
  passphrase: passphraseSchema.optional(),
});
const signInSchema = z.strictObject({ name: z.string().max(200), passphrase: passphraseSchema });
const ownSchema = z.strictObject({ was: passphraseSchema, set: passphraseSchema });

/** Attempts per address and period, whatever the names: each costs a few tenths of a second. */
const mostTries = 20;
const triesIn_ms = 5 * 60_000;

/** Managing who may sign in, for an owner or somebody at this machine. */
export function peopleRoutes({ people, note }: { people: People; note: Note }) {
  const noted = (c: Context<RequestEnv>, event: SignInEvent['event'], who: string, done: PersonWritten) => {
    const outcome = 'person' in done ? 'done' : 'refused';
    note({ event, who, by: c.get('person')?.name ?? 'this machine', outcome });
    return done;
  };
  return new Hono<RequestEnv>()
    .get('/', async (c) => c.json(await people.list()))
    .post('/', asJson, body(newPersonSchema), async (c) => {
      const said = c.req.valid('json');
      return written(c, noted(c, 'person added', said.name, await people.add(said)), 201);
    })
    .put('/:id', asJson, body(changeSchema), async (c) => {
      const id = c.req.param('id');
      return written(c, noted(c, 'person changed', id, await people.change(id, c.req.valid('json'))));
    })
    .delete('/:id', async (c) => {
      const id = c.req.param('id');
      return written(c, noted(c, 'person removed', id, await people.remove(id)));
    });
}

function written(c: Context, done: PersonWritten, status: 200 | 201 = 200): Response {
  if ('person' in done) return c.json(done.person, status);
  return 'missing' in done
    ? problem(c, 404, 'No such person')
    : problem(c, 422, 'This cannot be accepted as it is', { errors: done.faults });
}

/** Signing in and out, and the current user. Without sign-in, whoever sits at this machine is its owner. */
export function signInRoutes(
  { people, sessions, note }: { people: People; sessions: Sessions; note: Note },
  publicAddress: PublicAddress | undefined,
) {
  const tries = attempts(mostTries, triesIn_ms);
  const mayTry = (c: Context) => {
    const from = addressOf(c, publicAddress);
    if (tries.areSpent(from)) return false;
    tries.count(from);
    return true;
  };
  const tooMany = (c: Context) =>
    problem(c, 429, 'Too many tries from here: wait five minutes, then try again');
  return new Hono<RequestEnv>()
    .get('/me', (c) => c.json({ person: c.get('person') ?? null, signsIn: publicAddress !== undefined }))
    .post('/sign-in', asJson, body(signInSchema), async (c) => {
      if (!publicAddress) return problem(c, 404, 'Nobody signs in on this machine itself');
      const { name, passphrase } = c.req.valid('json');
      const event = { event: 'sign-in', who: name, from: addressOf(c, publicAddress) } as const;
      if (!mayTry(c)) {
        note({ ...event, outcome: 'too many tries' });
        return tooMany(c);
      }
      const signed = await sessions.signIn(name, passphrase);
      note({ ...event, outcome: 'token' in signed ? 'done' : 'wrong' in signed ? 'wrong' : 'locked' });
      return letIn(c, signed);
    })
    .post('/sign-out', async (c) => {
      const token = tokenOf(c);
      const person = token === undefined ? undefined : await sessions.who(token);
      if (token !== undefined) await sessions.signOut(token);
      if (person)
        note({ event: 'sign-out', who: person.name, from: addressOf(c, publicAddress), outcome: 'done' });
      clearToken(c);
      return c.body(null, 204);
    })
    .put('/me/passphrase', asJson, body(ownSchema), async (c) => {
      const person = c.get('person');
      if (!person) return problem(c, 404, 'Nobody signs in on this machine itself');
      if (!mayTry(c)) return tooMany(c);
      const { was, set } = c.req.valid('json');
      const known = await sessions.signIn(person.name, was);
      if (!('token' in known)) {
        note({
          event: 'passphrase changed',
          who: person.name,
          from: addressOf(c, publicAddress),
          outcome: 'wrong',
        });
        return letIn(c, known);
      }
      await sessions.signOut(known.token);
      const done = await people.change(person.id, { passphrase: set });
      const outcome = 'person' in done ? 'done' : 'refused';
      note({ event: 'passphrase changed', who: person.name, from: addressOf(c, publicAddress), outcome });
      if (!('person' in done)) return written(c, done);
      return letIn(c, await sessions.signIn(person.name, set));
    });
}

function letIn(c: Context, signed: SignedIn): Response {
  if ('token' in signed) {
    setToken(c, signed.token);
    return c.json(signed.person);
  }
  return 'wrong' in signed
    ? problem(c, 422, 'This name and passphrase do not match')
    : problem(c, 429, 'Too many wrong passphrases under this name: try again in fifteen minutes');
}
