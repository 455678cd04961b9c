import type { Context } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { createMiddleware } from 'hono/factory';
import { problem } from '../problem.js';
import type { Person } from './people.js';
import { mayRequest } from './roles.js';
import type { Sessions } from './sessions.js';

/** The caller, as the interface knows them; on this machine itself nobody signs in. */
export interface RequestEnv {
  Variables: { person?: Person };
}

/** The shop's own address, where people sign in. */
export interface PublicAddress {
  /** Its host names as they appear in the address bar, including the port. */
  readonly hosts: readonly string[];
  /** The only address allowed to connect, where a proxy with a certificate is in front. */
  readonly proxy?: string | undefined;
}

/** Sent over TLS only, to this address only, and inaccessible to scripts. */
const cookieName = '__Host-open-trench';
const cookie = {
  path: '/',
  secure: true,
  httpOnly: true,
  sameSite: 'Strict',
  maxAge: 30 * 24 * 3600,
} as const;

export const tokenOf = (c: Context): string | undefined => getCookie(c, cookieName);
export const setToken = (c: Context, token: string): void => {
  setCookie(c, cookieName, token, cookie);
};
export const clearToken = (c: Context): void => {
  deleteCookie(c, cookieName, { path: '/', secure: true });
};

/** Source of a request: the connection's address, or the one the proxy names. */
export function addressOf(c: Context, publicAddress: PublicAddress | undefined): string {
  const { incoming } = (c.env ?? {}) as { incoming?: { socket?: { remoteAddress?: string } } };
  const own = incoming?.socket?.remoteAddress?.replace(/^::ffff:/, '') ?? 'unknown';
  if (publicAddress?.proxy === undefined) return own;
  return c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim() ?? own;
}

/** Only under the shop's own names, over TLS, and from its own pages. */
export const onlyPublicAddress = (publicAddress: PublicAddress) =>
  createMiddleware<RequestEnv>(async (c, next) => {
    if (publicAddress.proxy !== undefined) {
      const from = addressOf(c, undefined);
      if (from !== publicAddress.proxy)
        return problem(c, 403, 'Requests come through the proxy of this shop only');
      if (c.req.header('x-forwarded-proto') !== 'https')
        return problem(c, 403, 'The proxy must say that it was asked over https (X-Forwarded-Proto)');
    }
    const host = c.req.header('host') ?? '';
    if (!publicAddress.hosts.includes(host))
      return problem(c, 421, `This server is not reached as “${host.slice(0, 80)}”`);
    const origin = c.req.header('origin');
    if (origin !== undefined && origin !== `https://${host}`)
      return problem(c, 403, 'Requests come from this server’s own pages only');
    await next();
    return undefined;
  });

/** Only signed-in people, each within their role. What a customer reads behind a secret needs no name. */
export const requireSignIn = (sessions: Sessions) =>
  createMiddleware<RequestEnv>(async (c, next) => {
    const path = c.req.path.replace(/^\/api/, '');
    if (path.startsWith('/offers/') || path === '/sign-in' || path === '/sign-out') return next();
    const token = tokenOf(c);
    const person = token === undefined ? undefined : await sessions.who(token);
    if (!person) return problem(c, 401, 'Sign in first');
    if (!mayRequest(person.role, c.req.method, path))
      return problem(c, 403, `This is not open to ${person.role === 'crew' ? 'crew' : 'an estimator'}`);
    c.set('person', person);
    await next();
    return undefined;
  });
