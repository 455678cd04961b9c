import { pdf } from '@react-pdf/renderer';
import type { ComponentProps } from 'react';
import { createElement } from 'react';
import type { Proof } from '../../core/offer/proof.js';
import { asJpeg } from '../files/as-jpeg';
import { CrewDocument } from './crew-pdf';
import { OfferDocument } from './offer-pdf';
import { PracticeDocument } from './practice-pdf';
import { ReportDocument } from './report-pdf';

type DocumentElement = Parameters<typeof pdf>[0];

const made = (element: unknown): Promise<Blob> => pdf(element as DocumentElement).toBlob();

export const offerPdf = async (props: Omit<ComponentProps<typeof OfferDocument>, 'photos'>): Promise<Blob> =>
  made(createElement(OfferDocument, { ...props, photos: await picturesOf(props.offer.proof) }));

export const crewPdf = (props: ComponentProps<typeof CrewDocument>): Promise<Blob> =>
  made(createElement(CrewDocument, props));

export const practicePdf = (props: ComponentProps<typeof PracticeDocument>): Promise<Blob> =>
  made(createElement(PracticeDocument, props));

export const reportPdf = async (
  props: Omit<ComponentProps<typeof ReportDocument>, 'photos'>,
): Promise<Blob> => made(createElement(ReportDocument, { ...props, photos: await picturesOf(props.proof) }));

/** Wide enough for a third of a page at print resolution, px. */
const pictureWidth = 720;

/** Photos by name, converted to JPEG, which the document takes; one that cannot be loaded is left out. */
async function picturesOf(proof: readonly Proof[]): Promise<ReadonlyMap<string, string>> {
  const names = [...new Set(proof.flatMap(({ photos }) => photos.slice(0, 1)))];
  const pictures = await Promise.all(
    names.map(async (name) => {
      const answer = await fetch(`/api/photos/${encodeURIComponent(name)}`);
      if (!answer.ok) return undefined;
      const bitmap = await createImageBitmap(await answer.blob());
      return [name, asJpeg(bitmap, { width: pictureWidth, quality: 0.85 })] as const;
    }),
  );
  return new Map(pictures.filter((each) => each !== undefined));
}
