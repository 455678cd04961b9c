import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { createSecureContext } from 'node:tls';
import type { PublicAddress } from './people/public-address.js';

/** The server's address for other machines of the shop. */
export interface ShopAddress {
  readonly hostname: string;
  readonly port: number;
  readonly publicAddress: PublicAddress;
  /** Certificate and key as PEM; none behind a proxy that has them. */
  readonly tls?: { readonly cert: string; readonly key: string };
}

/** The shop's address cannot be opened as configured: why, and what would help. */
export class ShopRefused extends Error {}

const usualPort = 4880;
type Env = Readonly<Partial<Record<string, string>>>;

const listOf = (said: string | undefined): string[] =>
  (said ?? '').split(',').flatMap((each) => each.trim().toLowerCase() || []);

/**
 * The shop's address from the environment; undefined where only this machine is answered. @throws ShopRefused where it
 * would be open without TLS or without a name.
 */
export function shopAddress(env: Env): ShopAddress | undefined {
  const hostname = env.OPEN_TRENCH_HOST;
  if (hostname === undefined || hostname === '') return undefined;
  const port = Number(env.OPEN_TRENCH_SHOP_PORT ?? usualPort);
  const names = listOf(env.OPEN_TRENCH_ALLOWED_HOSTS);
  if (names.length === 0) {
    throw new ShopRefused(
      'OPEN_TRENCH_HOST opens an address to other machines, so the names they reach it by must be given: ' +
        'OPEN_TRENCH_ALLOWED_HOSTS=shop.example.com,192.168.1.20',
    );
  }
  const proxy = env.OPEN_TRENCH_TRUSTED_PROXY;
  const [cert, key] = [env.OPEN_TRENCH_TLS_CERT, env.OPEN_TRENCH_TLS_KEY];
  if (proxy !== undefined && proxy !== '') {
    if (isIP(proxy) === 0)
      throw new ShopRefused(
        `OPEN_TRENCH_TRUSTED_PROXY must be the address of the proxy, such as 127.0.0.1; it is “${proxy}”`,
      );
    return { hostname, port, publicAddress: { hosts: names, proxy } };
  }
  if (cert === undefined || key === undefined) {
    throw new ShopRefused(
      'Passphrases do not go over a network in the clear. Give OPEN_TRENCH_TLS_CERT and OPEN_TRENCH_TLS_KEY, the files ' +
        'of a certificate and its key, or OPEN_TRENCH_TRUSTED_PROXY, the address of a proxy that has one.',
    );
  }
  const hosts = names.flatMap((name) => (name.includes(':') ? [name] : [name, `${name}:${port}`]));
  const tls = { cert: read(cert, 'OPEN_TRENCH_TLS_CERT'), key: read(key, 'OPEN_TRENCH_TLS_KEY') };
  try {
    createSecureContext(tls);
  } catch (error) {
    const { message } = error as Error;
    throw new ShopRefused(
      `${cert} and ${key} are not a certificate and its key as PEM, or do not match (${message})`,
    );
  }
  return { hostname, port, publicAddress: { hosts }, tls };
}

function read(path: string, variable: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    const { code = String(error) } = error as NodeJS.ErrnoException;
    throw new ShopRefused(`${variable} names ${path}, which cannot be read (${code})`);
  }
}
