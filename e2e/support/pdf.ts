import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Contents of a document according to an independent reader. */
export interface ReadPdf {
  readonly pages: readonly string[];
  readonly text: string;
  /** Every font that a page uses is embedded. */
  readonly fontsEmbedded: boolean;
  /** Number of embedded pictures. */
  readonly pictures: number;
}

/** Reads a document with a different library than the one that wrote it. */
export async function readPdf(path: string): Promise<ReadPdf> {
  const bytes = readFileSync(path);
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= pdf.numPages; number++) {
    const { items } = await (await pdf.getPage(number)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
  }
  // A font that is only named, not embedded, has a simple type and no descriptor with a font stream.
  const source = bytes.toString('latin1');
  const types = [...source.matchAll(/\/Type \/Font\s*\/Subtype \/(\w+)/g)].map(([, type]) => type ?? '');
  const streams = source.match(/\/FontFile[23]? /g) ?? [];
  const descriptors = source.match(/\/Type \/FontDescriptor/g) ?? [];
  const embedded =
    types.length > 0 &&
    types.every((type) => type === 'Type0' || type.startsWith('CIDFont')) &&
    streams.length === descriptors.length;
  return {
    pages,
    text: pages.join(' '),
    fontsEmbedded: embedded,
    pictures: source.match(/\/Subtype \/Image/g)?.length ?? 0,
  };
}

/** Presses a button that saves a file, and stores the file at `path`. */
export async function saveBy(page: Page, button: string | RegExp, path: string): Promise<void> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  await (await download).saveAs(path);
}
