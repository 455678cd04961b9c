import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { shopAddress } from './shop.js';

test('an address of the shop opens with a name and with TLS, or says what is missing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'open-trench-test-'));
  const [one, other] = [await generate([]), await generate([])];
  const file = (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    return join(folder, name);
  };
  const open = {
    OPEN_TRENCH_HOST: '0.0.0.0',
    OPEN_TRENCH_ALLOWED_HOSTS: 'Shop.example.com, 192.168.1.20,',
    OPEN_TRENCH_TLS_CERT: file('cert.pem', one.cert),
    OPEN_TRENCH_TLS_KEY: file('key.pem', one.private),
  };
  expect(shopAddress({})).toBeUndefined();
  expect(shopAddress(open)).toEqual({
    hostname: '0.0.0.0',
    port: 4880,
    publicAddress: {
      hosts: ['shop.example.com', 'shop.example.com:4880', '192.168.1.20', '192.168.1.20:4880'],
    },
    tls: { cert: one.cert, key: one.private },
  });
  const { OPEN_TRENCH_TLS_CERT: _cert, OPEN_TRENCH_TLS_KEY: _key, ...bare } = open;
  expect(shopAddress({ ...bare, OPEN_TRENCH_TRUSTED_PROXY: '127.0.0.1' })).toMatchObject({
    publicAddress: { hosts: ['shop.example.com', '192.168.1.20'], proxy: '127.0.0.1' },
  });
  for (const [env, says] of [
    [bare, /in the clear/],
    [{ ...open, OPEN_TRENCH_ALLOWED_HOSTS: ' , ' }, /names they reach it by/],
    [{ ...bare, OPEN_TRENCH_TRUSTED_PROXY: 'proxy.local' }, /address of the proxy/],
    [
      { ...open, OPEN_TRENCH_TLS_KEY: join(folder, 'none.pem') },
      /none\.pem, which cannot be read \(ENOENT\)/,
    ],
    [{ ...open, OPEN_TRENCH_TLS_KEY: file('other.pem', other.private) }, /do not match/],
    [{ ...open, OPEN_TRENCH_TLS_CERT: file('text.pem', 'not a certificate') }, /as PEM/],
  ] as const)
    expect(() => shopAddress(env)).toThrow(says);
  rmSync(folder, { recursive: true, force: true });
});
