import { Hono, type Context } from 'hono';
import type { Offer } from '../../core/offer/offer.js';
import type { Parts } from '../app.js';
import { attempts } from '../people/attempts.js';
import { addressOf } from '../people/public-address.js';
import { nameProgram, securely, servePages } from '../pages.js';
import { problem } from '../problem.js';
import type { Photos } from '../storage/photos.js';

const closedLink = 'This link is not open. Ask whoever sent it for a new one';

/** A sent offer never changes, so each is computed once. */
const mostRemembered = 200;
/** Limit on failed link attempts from one address, and its period. */
const mostGuesses = 60;
const guessesIn_ms = 60_000;

/** Caches the last results by name; a failed one is computed again. */
function remembered<T>(most: number): (name: string, work: () => Promise<T>) => Promise<T> {
  const known = new Map<string, Promise<T>>();
  return (name, work) => {
    const before = known.get(name);
    if (before) return before;
    const [oldest] = known.keys();
    if (known.size >= most && oldest !== undefined) known.delete(oldest);
    const made = work();
    known.set(name, made);
    made.catch(() => known.delete(name));
    return made;
  };
}

/** The customer sees the work and its price; quantities, rates and their working stay within the company. */
function forCustomer(offer: Offer): Offer {
  const ways = offer.ways.map((approach) => ({
    ...approach,
    priceLines: approach.priceLines.map((line) => ({
      ...line,
      quantity: 1,
      unit: 'job',
      rate: line.amount,
      from: '',
      working: [],
    })),
  }));
  return { ...offer, ways };
}

/** What a customer may read behind a secret: the offer as it was sent, and its photos. Read-only. */
export function offersOn({ shares, photos, offerOf }: Pick<Parts, 'shares' | 'photos' | 'offerOf'>) {
  const frozen = remembered<Offer>(mostRemembered);
  const guesses = attempts(mostGuesses, guessesIn_ms);
  return new Hono()
    .get('/:secret', async (c) => {
      const from = addressOf(c, undefined);
      if (guesses.areSpent(from))
        return problem(c, 429, 'Too many links were tried: wait a minute and open yours again');
      const shared = await shares.open(c.req.param('secret'));
      if (!shared) {
        guesses.count(from);
        return problem(c, 404, closedLink);
      }
      c.header('cache-control', 'no-store');
      const offer = await frozen(shared.id, () => offerOf(shared.said.job, shared.said.firm, shared.said.on));
      return c.json(forCustomer(offer));
    })
    .get('/:secret/photos/:name', async (c) => {
      const shared = await shares.open(c.req.param('secret'));
      const name = c.req.param('name');
      const shown = shared?.said.job.lines.some((line) =>
        line.runs.some((run) => run.entries.some(({ photos: own }) => own?.includes(name))),
      );
      return shown ? photoAnswer(c, photos, name) : problem(c, 404, 'No such photo');
    });
}

export async function photoAnswer(c: Context, photos: Photos, name: string): Promise<Response> {
  const photo = await photos.read(name);
  if (!photo) return problem(c, 404, 'No such photo');
  c.header('content-type', photo.type);
  c.header('x-content-type-options', 'nosniff');
  c.header('cache-control', 'private, max-age=31536000, immutable');
  return c.body(photo.bytes);
}

/**
 * A server for customers alone, which may be open to the outside: their pages, and nothing of the jobs behind them.
 */
export function customersApp(
  parts: Pick<Parts, 'shares' | 'photos' | 'offerOf'>,
  pages: string | undefined,
  log: (error: unknown) => void,
) {
  const app = new Hono();
  app.use(securely);
  app.use(nameProgram);
  app.route('/api/offers', offersOn(parts));
  app.all('/api/*', (c) => problem(c, 404, 'No such address'));
  app.get('/', (c) => c.text('Open the link that was sent to you.', 404));
  if (pages !== undefined) servePages(app, pages);
  app.onError((error, c) => {
    log(error);
    return problem(c, 500, 'Something went wrong here; nothing was changed');
  });
  return app;
}
