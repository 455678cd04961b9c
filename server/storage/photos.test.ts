import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { photosIn } from './photos.js';

// The smallest PNG there is: signature, IHDR, IDAT, IEND (PNG specification, W3C, quoted from memory).
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
  'base64',
);

const temporary = mkdtempSync(join(tmpdir(), 'open-trench-photos-'));
afterAll(() => {
  rmSync(temporary, { recursive: true, force: true });
});

test('a photo is kept by its content, once; what is no picture is refused whatever it is called', async () => {
  const folder = join(temporary, 'photos');
  const photos = photosIn(folder);
  const [one, again] = [await photos.keep(png), await photos.keep(png)];
  expect(one).toEqual(again);
  expect(readdirSync(folder)).toHaveLength(1);
  const name = 'name' in one ? one.name : '';
  expect(await photos.read(name)).toEqual({ bytes: new Uint8Array(png), type: 'image/png' });
  for (const bytes of [Buffer.from('<svg onload="alert(1)"/>'), Buffer.from('GIF89a00'), Buffer.alloc(0)]) {
    expect(await photos.keep(bytes)).toHaveProperty('refused');
  }
  expect(await photos.keep(Buffer.concat([png, Buffer.alloc(13 * 1024 * 1024)]))).toMatchObject({
    refused: expect.stringContaining('12 MB') as unknown,
  });
  for (const bad of ['../open-trench.lock', 'x.png', `${'0'.repeat(64)}.png`, `${'0'.repeat(64)}.svg`]) {
    expect(await photos.read(bad)).toBeUndefined();
  }
});
