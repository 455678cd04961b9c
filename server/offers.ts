import { Hono, type Context } from 'hono';
import type { Offer } from '../core/offer/offer.js';
import type { Parts } from './app.js';
import { securely, servePages } from './pages.js';
import { problem } from './problem.js';
import type { Photos } from './photos.js';

const closedLink = 'This link is not open. Ask whoever sent it for a new one';

/** What a customer may read behind a secret: the offer as it was sent, and the photos in it. Nothing can be changed. */
export function offersOn({ shares, photos, offerOf }: Pick<Parts, 'shares' | 'photos' | 'offerOf'>) {
  return new Hono()
    .get('/:secret', async (c) => {
      const shared = await shares.open(c.req.param('secret'));
      if (!shared) return problem(c, 404, closedLink);
      c.header('cache-control', 'no-store');
      const offer = await offerOf(shared.job, shared.firm, shared.on);
      // The customer sees prices; how the firm comes to them stays with the firm.
      const ways = offer.ways.map((way) => ({
        ...way,
        priceLines: way.priceLines.map((line) => ({ ...line, working: [] })),
      }));
      return c.json({ ...offer, ways } satisfies Offer);
    })
    .get('/:secret/photos/:name', async (c) => {
      const shared = await shares.open(c.req.param('secret'));
      const name = c.req.param('name');
      const shown = shared?.job.lines.some((line) =>
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

/** A server for customers alone, which may stand open to the outside: their pages, and nothing of the jobs behind them. */
export function customersApp(
  parts: Pick<Parts, 'shares' | 'photos' | 'offerOf'>,
  pages: string | undefined,
  log: (error: unknown) => void,
) {
  const app = new Hono();
  app.use(securely);
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
